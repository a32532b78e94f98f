import type { ImportReport } from '@leggero/contract/readingFile';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { Chip } from '@/ui/Chip';
import { Words } from '@/ui/Words';
import { counted, doseText } from '@/wording/trade';

/**
 * What an import would do, or did: the count, what is new, the first lines as understood, and every line that cannot
 * be used.
 */
export function ImportPreview({ report, fileName }: { report: ImportReport; fileName: string }) {
  const { problems, problemCount, written, sample } = report;
  return (
    <View className="gap-3">
      <Words look="strong">{fileName}</Words>
      {problemCount > 0 ? (
        <>
          <Chip tone="out" word={`${counted(problemCount, 'problem')}: nothing is imported`} />
          <View role="list" className="gap-1">
            {problems.map(({ line, column, reason }, i) => (
              <Words key={i} role="listitem">
                {`${line === 0 ? 'File' : `Line ${line}`}${column ? `, ${column}` : ''}: ${reason}`}
              </Words>
            ))}
            {problemCount > problems.length ? (
              <Words look="quiet">{`and ${problemCount - problems.length} more.`}</Words>
            ) : null}
          </View>
        </>
      ) : (
        <>
          <Chip
            tone="good"
            word={written ? `${counted(report.added, 'reading')} imported` : 'every line can be used'}
          />
          <Words>{whatText(report)}</Words>
          {written ? null : <Sample sample={sample} />}
        </>
      )}
    </View>
  );
}

function whatText({ lines, added, known, newModels, newPumps, newCalibrations, written }: ImportReport): string {
  const parts = [`${counted(lines, 'line')}: ${added} new${known > 0 ? `, ${known} there already` : ''}.`];
  const made = [
    newModels.length > 0 ? counted(newModels.length, 'balloon') : '',
    newPumps.length > 0 ? `${counted(newPumps.length, 'inflator')} (${newPumps.join(', ')})` : '',
    newCalibrations > 0 ? counted(newCalibrations, 'calibration') : '',
  ].filter(Boolean);
  if (made.length > 0) parts.push(`${written ? 'Made' : 'Makes'} ${made.join(', ')}.`);
  return parts.join(' ');
}

function Sample({ sample }: Pick<ImportReport, 'sample'>) {
  const { text, bare } = useLengths();
  return (
    <View role="table" aria-label="The first lines as understood">
      {sample.map(({ line, model, dose, widthMm, stopsMm, passesMm }) => (
        <View key={line} role="row" className="flex-row gap-2 border-b border-line py-1">
          <Words role="cell" look="quiet" className="w-8 tabular-nums">
            {line}
          </Words>
          <Words role="cell" className="flex-1" numberOfLines={1}>
            {model}
          </Words>
          <Words role="cell" className="w-12 text-right tabular-nums">
            {Number.isInteger(dose * 2) ? doseText(dose) : dose.toFixed(1)}
          </Words>
          <Words role="cell" className="w-24 text-right tabular-nums">
            {widthMm !== null
              ? text(widthMm)
              : stopsMm !== null && passesMm !== null
                ? `${bare(stopsMm)} to ${text(passesMm)}`
                : 'burst'}
          </Words>
        </View>
      ))}
    </View>
  );
}
