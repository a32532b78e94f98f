import { lazy } from 'react';

/*
 * Pages whose code comes as one file, since they share what few others need: a form's machinery, how rings close, the
 * words of targets. With a file for each of them all that would be common code, which comes before the first page.
 * A route returns such a page from a function of its own: Expo Router makes routes late, and React knows no late page
 * whose code is another late page.
 */
const balloon = () => import('./balloon');
const workshop = () => import('./workshop');

export const CheckPage = lazy(async () => ({ default: (await balloon()).CheckPage }));
export const ComparePage = lazy(async () => ({ default: (await balloon()).ComparePage }));
export const FindPage = lazy(async () => ({ default: (await balloon()).FindPage }));
export const FinishPage = lazy(async () => ({ default: (await balloon()).FinishPage }));
export const HoldPage = lazy(async () => ({ default: (await balloon()).HoldPage }));
export const ModelPage = lazy(async () => ({ default: (await balloon()).ModelPage }));
export const ReadingPage = lazy(async () => ({ default: (await balloon()).ReadingPage }));
export const SheetPage = lazy(async () => ({ default: (await balloon()).SheetPage }));

export const PumpPage = lazy(async () => ({ default: (await workshop()).PumpPage }));
export const ModellingPage = lazy(async () => ({ default: (await workshop()).ModellingPage }));
export const ModelForm = lazy(async () => ({ default: (await workshop()).ModelForm }));

export const EyePage = lazy(async () => ({ default: (await balloon()).EyePage }));
export const EyeRunPage = lazy(async () => ({ default: (await balloon()).EyeRunPage }));
export const EyeStartPage = lazy(async () => ({ default: (await balloon()).EyeStartPage }));
export const GaugeList = lazy(async () => ({ default: (await workshop()).GaugeList }));
export const TranslatePage = lazy(async () => ({ default: (await workshop()).TranslatePage }));
export const HoleFinderPage = lazy(async () => ({ default: (await balloon()).HoleFinderPage }));
export const SizersComparedPage = lazy(async () => ({ default: (await balloon()).SizersComparedPage }));
export const SizerCheckPage = lazy(async () => ({ default: (await workshop()).SizerCheckPage }));
export const SizerPage = lazy(async () => ({ default: (await workshop()).SizerPage }));
export const SqueezePage = lazy(async () => ({ default: (await balloon()).SqueezePage }));
export const StartPage = lazy(async () => ({ default: (await workshop()).StartPage }));
export const StudiesPage = lazy(async () => ({ default: (await balloon()).StudiesPage }));
export const StudyPage = lazy(async () => ({ default: (await balloon()).StudyPage }));

export const BuildList = lazy(async () => ({ default: (await workshop()).BuildList }));
export const EventPage = lazy(async () => ({ default: (await workshop()).EventPage }));
export const NewEventPage = lazy(async () => ({ default: (await workshop()).NewEventPage }));
export const NewPiecePage = lazy(async () => ({ default: (await workshop()).NewPiecePage }));
export const RecipePage = lazy(async () => ({ default: (await workshop()).RecipePage }));
export const InflationPage = lazy(async () => ({ default: (await balloon()).InflationPage }));
export const ShoppingPage = lazy(async () => ({ default: (await workshop()).ShoppingPage }));
export const VersionsPage = lazy(async () => ({ default: (await workshop()).VersionsPage }));
export const FilesPage = lazy(async () => ({ default: (await workshop()).FilesPage }));
export const EventSheetPage = lazy(async () => ({ default: (await workshop()).EventSheetPage }));
export const SwapPage = lazy(async () => ({ default: (await workshop()).SwapPage }));
export const MoneyPage = lazy(async () => ({ default: (await workshop()).MoneyPage }));
export const StockListPage = lazy(async () => ({ default: (await workshop()).StockListPage }));
export const StockPage = lazy(async () => ({ default: (await workshop()).StockPage }));
export const PiecePage = lazy(async () => ({ default: (await workshop()).PiecePage }));

export const Elsewhere = lazy(async () => ({ default: (await workshop()).Elsewhere }));
export const SearchPage = lazy(async () => ({ default: (await workshop()).SearchPage }));

export const NumbersPage = lazy(async () => ({ default: (await workshop()).NumbersPage }));

export const BubblePage = lazy(async () => ({ default: (await workshop()).BubblePage }));
export const FoilPage = lazy(async () => ({ default: (await workshop()).FoilPage }));
export const OrbPage = lazy(async () => ({ default: (await workshop()).OrbPage }));
export const PairPage = lazy(async () => ({ default: (await workshop()).PairPage }));
export const StuffingPage = lazy(async () => ({ default: (await workshop()).StuffingPage }));
