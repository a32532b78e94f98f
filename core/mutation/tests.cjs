/**
 * The folders whose numbers are put to the test of mutation, each with the tests that are about it, those first that
 * notice most. Other tests pass through it too: to run them all for every mutant takes ten times as long and finds
 * little more.
 */
const TESTS = {
  calibration: [
    'learnErrors.outside',
    'errorParts.outside',
    'shapeLaw.outside',
    'lateShapes',
    'doseLaw.outside',
    'poolInflator.outside',
    'predict',
    'calibrationCases',
    'figures',
    'calibration',
    'knowShelf',
    'expectShape',
    'nextReading',
    'numbersHold',
    'inflator',
    'firsts',
    'targetReasons',
    'slips.outside',
    'slips',
    'calibrationOrder',
    'compareModels',
    'estimateCurve.outside',
    'preparation',
    'censored.outside',
    'leastSquares.outside',
    'stuffing.outside',
    'journey',
  ],
  consistency: [
    'eyeFigures.outside',
    'eye',
    'figures',
    'goNoGo.outside',
    'judgeBatch',
    'numbersHold',
    'sampling.outside',
    'sizeSpread',
    'sizingStudy.outside',
  ],
  environment: [
    'environment.outside',
    'hold',
    'afterNight',
    'standingNow',
    'figures',
    'numbersHold',
    'target',
    'targetReasons',
  ],
  linking: [
    'hanging',
    'linking',
    'linking.outside',
    'linkingBounds',
    'linkingParts',
    'pulled',
    'softForm.outside',
    'fixings.outside',
  ],
  target: [
    'target',
    'targetReasons',
    'trade.outside',
    'environment.outside',
    'expectShape',
    'figures',
    'firsts',
    'journey',
    'numbersHold',
    'ownTrade',
  ],
};

/** The one in hand; the tool's own processes are told by their surroundings. */
const FOLDER = process.env.LEGGERO_MUTATED ?? 'target';

module.exports = { TESTS, FOLDER };
