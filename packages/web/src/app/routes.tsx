import { createBrowserRouter, Navigate } from 'react-router';
import { LEDGER, pagesOf } from './ledger';
import { Frame } from '../frame/Frame';
import { Opening } from '../frame/Opening';
import { NoSuchPage, RouteProblem } from '../frame/RouteProblem';

/** Each stage is loaded when it is opened. */
export const router = createBrowserRouter(
  [
    {
      path: '/',
      Component: Frame,
      ErrorBoundary: RouteProblem,
      HydrateFallback: Opening,
      children: [
        { index: true, element: <Navigate to="/shelf" replace /> },
        {
          path: 'ground/:id/soil/:reportId',
          lazy: async () => ({ Component: (await import('../ground/SoilReportEditor')).SoilReportEditor }),
        },
        { path: 'ground/new', lazy: async () => ({ Component: (await import('../ground/PlotEditor')).NewPlot }) },
        { path: 'ground/:id/edit', lazy: async () => ({ Component: (await import('../ground/PlotEditor')).EditPlot }) },
        { path: 'ground/:id/soil', lazy: async () => ({ Component: (await import('../ground/SoilView')).SoilView }) },
        {
          path: 'ground/:id/weather/edit',
          lazy: async () => ({ Component: (await import('../ground/PlotEditor')).EditWeather }),
        },
        {
          path: 'ground/:id/weather',
          lazy: async () => ({ Component: (await import('../ground/WeatherView')).WeatherView }),
        },
        {
          path: 'ground/:id/jars',
          lazy: async () => ({ Component: (await import('../ground/JarTestsView')).JarTestsView }),
        },
        { path: 'ground/crops', lazy: async () => ({ Component: (await import('../season/CropsView')).CropsView }) },
        { path: 'ground/crops/new', lazy: async () => ({ Component: (await import('../season/CropsView')).NewCrop }) },
        {
          path: 'ground/crops/:crop',
          lazy: async () => ({ Component: (await import('../season/CropsView')).EditCrop }),
        },
        {
          path: 'ground/:id/programmes',
          lazy: async () => ({ Component: (await import('../season/ProgrammesView')).ProgrammesView }),
        },
        {
          path: 'ground/:id/programmes/:programme',
          lazy: async () => ({ Component: (await import('../season/ProgrammeEditor')).ProgrammeEditor }),
        },
        { path: 'ground/causes', lazy: async () => ({ Component: (await import('../ground/CausesView')).CausesView }) },
        { path: 'ground/:id?', lazy: async () => ({ Component: (await import('../plot/PlotView')).PlotView }) },
        { path: 'shelf', lazy: async () => ({ Component: (await import('../shelf/ShelfView')).ShelfView }) },
        {
          path: 'shelf/catalogue',
          lazy: async () => ({ Component: (await import('../shelf/catalogue/CatalogueView')).CatalogueView }),
        },
        {
          path: 'shelf/catalogue/:id',
          lazy: async () => ({ Component: (await import('../shelf/catalogue/ListedProductView')).ListedProductView }),
        },
        {
          path: 'shelf/cheapest',
          lazy: async () => ({ Component: (await import('../shelf/catalogue/CheapestView')).CheapestView }),
        },
        {
          path: 'shelf/lists',
          lazy: async () => ({ Component: (await import('../shelf/catalogue/ListsView')).ListsView }),
        },
        { path: 'shelf/new', lazy: async () => ({ Component: (await import('../shelf/ProductEditor')).NewProduct }) },
        { path: 'shelf/label', lazy: async () => ({ Component: (await import('../shelf/LabelDesk')).LabelDesk }) },
        {
          path: 'shelf/materials',
          lazy: async () => ({ Component: (await import('../shelf/LibraryView')).LibraryView }),
        },
        {
          path: 'shelf/kitchen',
          lazy: async () => ({ Component: (await import('../shelf/KitchenView')).KitchenView }),
        },
        {
          path: 'shelf/:id/elements',
          lazy: async () => ({ Component: (await import('../shelf/ElementsView')).ElementsView }),
        },
        {
          path: 'shelf/:id/curve',
          lazy: async () => ({ Component: (await import('../shelf/OwnCurveView')).OwnCurveView }),
        },
        {
          path: 'shelf/:id/versions',
          lazy: async () => ({ Component: (await import('../shelf/VersionsView')).VersionsView }),
        },
        { path: 'shelf/csv', lazy: async () => ({ Component: (await import('../shelf/CsvView')).CsvView }) },
        { path: 'shelf/:id', lazy: async () => ({ Component: (await import('../shelf/ProductEditor')).EditProduct }) },
        { path: 'price/worth', lazy: async () => ({ Component: (await import('../price/WorthView')).WorthView }) },
        { path: 'price/in-time', lazy: async () => ({ Component: (await import('../price/InTimeView')).InTimeView }) },
        {
          path: 'price/list',
          lazy: async () => ({ Component: (await import('../price/ListView')).ListView }),
        },
        {
          path: 'price/season',
          lazy: async () => ({ Component: (await import('../price/SeasonView')).SeasonPriceView }),
        },
        { path: 'price/rules', lazy: async () => ({ Component: (await import('../price/RulesView')).RulesView }) },
        {
          path: 'price/history',
          lazy: async () => ({ Component: (await import('../price/HistoryView')).HistoryView }),
        },
        { path: 'price', lazy: async () => ({ Component: (await import('../price/PriceView')).PriceView }) },
        {
          path: 'release/compare',
          lazy: async () => ({ Component: (await import('../release/CompareView')).CompareView }),
        },
        { path: 'release', lazy: async () => ({ Component: (await import('../release/ReleaseView')).ReleaseView }) },
        { path: 'mix', lazy: async () => ({ Component: (await import('../mix/RecipesView')).RecipesView }) },
        { path: 'mix/heap/:id', lazy: async () => ({ Component: (await import('../mix/HeapView')).HeapView }) },
        { path: 'mix/:id/card', lazy: async () => ({ Component: (await import('../mix/RecipeCard')).RecipeCard }) },
        {
          path: 'mix/:id/versions',
          lazy: async () => ({ Component: (await import('../mix/RecipeVersions')).RecipeVersions }),
        },
        { path: 'mix/:id/weigh', lazy: async () => ({ Component: (await import('../mix/WeighView')).WeighView }) },
        { path: 'mix/:id', lazy: async () => ({ Component: (await import('../mix/MixView')).MixView }) },
        { path: 'rounds', lazy: async () => ({ Component: (await import('../rounds/TodayView')).TodayView }) },
        { path: 'rounds/weeks', lazy: async () => ({ Component: (await import('../rounds/WeeksView')).WeeksView }) },
        { path: 'rounds/log', lazy: async () => ({ Component: (await import('../rounds/LogView')).LogView }) },
        { path: 'rounds/log/new', lazy: async () => ({ Component: (await import('../rounds/EntryEditor')).NewEntry }) },
        {
          path: 'rounds/log/:id/correct',
          lazy: async () => ({ Component: (await import('../rounds/EntryEditor')).CorrectEntry }),
        },
        {
          path: 'rounds/log/:id/photos',
          lazy: async () => ({ Component: (await import('../rounds/EntryPhotos')).EntryPhotos }),
        },
        { path: 'rounds/buy', lazy: async () => ({ Component: (await import('../rounds/BuyView')).BuyView }) },
        { path: 'rounds/can', lazy: async () => ({ Component: (await import('../rounds/CanView')).CanView }) },
        { path: 'rounds/plant', lazy: async () => ({ Component: (await import('../rounds/PlantView')).PlantView }) },
        { path: 'rounds/dose', lazy: async () => ({ Component: (await import('../rounds/DoseView')).DoseView }) },
        { path: 'claims', lazy: async () => ({ Component: (await import('../claims/ClaimsView')).ClaimsView }) },
        {
          path: 'claims/studies',
          lazy: async () => ({ Component: (await import('../claims/StudiesView')).StudiesView }),
        },
        {
          path: 'claims/studies/new',
          lazy: async () => ({ Component: (await import('../claims/StudyEditor')).NewStudy }),
        },
        {
          path: 'claims/studies/:id',
          lazy: async () => ({ Component: (await import('../claims/StudyEditor')).EditStudy }),
        },
        {
          path: 'claims/compare',
          lazy: async () => ({ Component: (await import('../claims/CompareClaims')).CompareClaims }),
        },
        {
          path: 'claims/of/:productId',
          lazy: async () => ({ Component: (await import('../claims/CompareClaims')).CompareClaims }),
        },
        {
          path: 'claims/:id/sheet',
          lazy: async () => ({ Component: (await import('../claims/HearingSheet')).HearingSheet }),
        },
        { path: 'claims/new', lazy: async () => ({ Component: (await import('../claims/ClaimEditor')).NewClaim }) },
        { path: 'claims/:id', lazy: async () => ({ Component: (await import('../claims/ClaimEditor')).EditClaim }) },
        { path: 'ledgers', lazy: async () => ({ Component: (await import('../ledgers/LedgersView')).LedgersView }) },
        { path: 'trials', lazy: async () => ({ Component: (await import('../trials/TrialsView')).TrialsView }) },
        { path: 'trials/new', lazy: async () => ({ Component: (await import('../trials/NewTrial')).NewTrial }) },
        {
          path: 'trials/compare',
          lazy: async () => ({ Component: (await import('../trials/CompareTrials')).CompareTrials }),
        },
        { path: 'trials/:id', lazy: async () => ({ Component: (await import('../trials/TrialEditor')).EditTrial }) },
        { path: 'trials/:id/map', lazy: async () => ({ Component: (await import('../trials/MapView')).MapView }) },
        {
          path: 'trials/:id/sheet',
          lazy: async () => ({ Component: (await import('../trials/SheetView')).SheetView }),
        },
        { path: 'trials/:id/read', lazy: async () => ({ Component: (await import('../trials/ReadView')).ReadView }) },
        { path: 'book/leaf', lazy: async () => ({ Component: (await import('../book/LeafView')).LeafView }) },
        { path: 'book/year', lazy: async () => ({ Component: (await import('../book/PlotYearView')).PlotYearView }) },
        { path: 'book', lazy: async () => ({ Component: (await import('../book/BookView')).BookView }) },
        { path: '*', Component: NoSuchPage },
      ],
    },
  ],
  { basename: pagesOf(LEDGER) || '/' },
);
