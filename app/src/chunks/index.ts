import { lazy } from 'react';

/*
 * Pages whose code comes as one file, since they share what the first page needs little of: a form's machinery, how rings
 * close, the words of targets. In several files all that would be common code, which comes before the first page.
 * A route returns such a page from a function of its own: Expo Router makes routes late, and React knows no late page
 * whose code is another late page.
 */
const pages = () => import('./pages');

export const AccountPage = lazy(async () => ({ default: (await pages()).AccountPage }));
export const BackupsPage = lazy(async () => ({ default: (await pages()).BackupsPage }));
export const BalloonLogPage = lazy(async () => ({ default: (await pages()).BalloonLogPage }));
export const BubblePage = lazy(async () => ({ default: (await pages()).BubblePage }));
export const BuildList = lazy(async () => ({ default: (await pages()).BuildList }));
export const CheckPage = lazy(async () => ({ default: (await pages()).CheckPage }));
export const ComparePage = lazy(async () => ({ default: (await pages()).ComparePage }));
export const ConfirmPage = lazy(async () => ({ default: (await pages()).ConfirmPage }));
export const CrewPage = lazy(async () => ({ default: (await pages()).CrewPage }));
export const DeedsPage = lazy(async () => ({ default: (await pages()).DeedsPage }));
export const Elsewhere = lazy(async () => ({ default: (await pages()).Elsewhere }));
export const EventPage = lazy(async () => ({ default: (await pages()).EventPage }));
export const EventSheetPage = lazy(async () => ({ default: (await pages()).EventSheetPage }));
export const EyePage = lazy(async () => ({ default: (await pages()).EyePage }));
export const EyeRunPage = lazy(async () => ({ default: (await pages()).EyeRunPage }));
export const EyeStartPage = lazy(async () => ({ default: (await pages()).EyeStartPage }));
export const FilesPage = lazy(async () => ({ default: (await pages()).FilesPage }));
export const FindPage = lazy(async () => ({ default: (await pages()).FindPage }));
export const FinishPage = lazy(async () => ({ default: (await pages()).FinishPage }));
export const FoilPage = lazy(async () => ({ default: (await pages()).FoilPage }));
export const GaugeList = lazy(async () => ({ default: (await pages()).GaugeList }));
export const HelpPage = lazy(async () => ({ default: (await pages()).HelpPage }));
export const HoldPage = lazy(async () => ({ default: (await pages()).HoldPage }));
export const HoleFinderPage = lazy(async () => ({ default: (await pages()).HoleFinderPage }));
export const InflationPage = lazy(async () => ({ default: (await pages()).InflationPage }));
export const JoinPage = lazy(async () => ({ default: (await pages()).JoinPage }));
export const LogbookPage = lazy(async () => ({ default: (await pages()).LogbookPage }));
export const ModelForm = lazy(async () => ({ default: (await pages()).ModelForm }));
export const ModelPage = lazy(async () => ({ default: (await pages()).ModelPage }));
export const ModellingPage = lazy(async () => ({ default: (await pages()).ModellingPage }));
export const MoneyPage = lazy(async () => ({ default: (await pages()).MoneyPage }));
export const MorningPage = lazy(async () => ({ default: (await pages()).MorningPage }));
export const NewEventPage = lazy(async () => ({ default: (await pages()).NewEventPage }));
export const NewPasswordPage = lazy(async () => ({ default: (await pages()).NewPasswordPage }));
export const NewPiecePage = lazy(async () => ({ default: (await pages()).NewPiecePage }));
export const NowherePage = lazy(async () => ({ default: (await pages()).NowherePage }));
export const NumbersPage = lazy(async () => ({ default: (await pages()).NumbersPage }));
export const OrbPage = lazy(async () => ({ default: (await pages()).OrbPage }));
export const OwnerPage = lazy(async () => ({ default: (await pages()).OwnerPage }));
export const PairPage = lazy(async () => ({ default: (await pages()).PairPage }));
export const PiecePage = lazy(async () => ({ default: (await pages()).PiecePage }));
export const PumpPage = lazy(async () => ({ default: (await pages()).PumpPage }));
export const ReadingPage = lazy(async () => ({ default: (await pages()).ReadingPage }));
export const RecipePage = lazy(async () => ({ default: (await pages()).RecipePage }));
export const SchedulePage = lazy(async () => ({ default: (await pages()).SchedulePage }));
export const SearchPage = lazy(async () => ({ default: (await pages()).SearchPage }));
export const SharedPage = lazy(async () => ({ default: (await pages()).SharedPage }));
export const SheetPage = lazy(async () => ({ default: (await pages()).SheetPage }));
export const ShoppingPage = lazy(async () => ({ default: (await pages()).ShoppingPage }));
export const SignInPage = lazy(async () => ({ default: (await pages()).SignInPage }));
export const SitePage = lazy(async () => ({ default: (await pages()).SitePage }));
export const SizerCheckPage = lazy(async () => ({ default: (await pages()).SizerCheckPage }));
export const SizerPage = lazy(async () => ({ default: (await pages()).SizerPage }));
export const SizersComparedPage = lazy(async () => ({ default: (await pages()).SizersComparedPage }));
export const SqueezePage = lazy(async () => ({ default: (await pages()).SqueezePage }));
export const StartPage = lazy(async () => ({ default: (await pages()).StartPage }));
export const StockListPage = lazy(async () => ({ default: (await pages()).StockListPage }));
export const StockPage = lazy(async () => ({ default: (await pages()).StockPage }));
export const StudiesPage = lazy(async () => ({ default: (await pages()).StudiesPage }));
export const StudyPage = lazy(async () => ({ default: (await pages()).StudyPage }));
export const StuffingPage = lazy(async () => ({ default: (await pages()).StuffingPage }));
export const SwapPage = lazy(async () => ({ default: (await pages()).SwapPage }));
export const Today = lazy(async () => ({ default: (await pages()).Today }));
export const TranslatePage = lazy(async () => ({ default: (await pages()).TranslatePage }));
export const VersionsPage = lazy(async () => ({ default: (await pages()).VersionsPage }));
