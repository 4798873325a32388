import { createRouter, createWebHistory } from 'vue-router';
import { WORLD } from '../data/world.ts';
import { type Stage, STAGES } from '../../core/job/index.ts';

/** One chunk per stage, loaded when it is opened. */
const stageViews: Readonly<Record<Stage, () => Promise<unknown>>> = {
  complaint: () => import('../stages/complaint/ComplaintStage.vue'),
  // In practice the program keeps its ranking to itself.
  diagnose: () =>
    WORLD.practice === null
      ? import('../stages/diagnosis/DiagnoseStage.vue')
      : import('../practice/diagnose/PracticeDiagnose.vue'),
  decide: () =>
    WORLD.practice === null ? import('../stages/choice/DecideStage.vue') : import('../practice/PracticeDecide.vue'),
  prepare: () => import('../stages/needs/PrepareStage.vue'),
  strip: () => import('../stages/items/StripStage.vue'),
  inspect: () => import('../stages/inspection/InspectStage.vue'),
  clean: () => import('../stages/cleaning/CleanStage.vue'),
  rebuild: () => import('../stages/rebuild/RebuildStage.vue'),
  refit: () => import('../stages/items/RefitStage.vue'),
  coolant: () => import('../stages/coolant/CoolantStage.vue'),
  relearn: () => import('../stages/runs/RelearnStage.vue'),
  prove: () => import('../stages/proof/ProveStage.vue'),
  'hand-over': () => import('../stages/handover/HandOverStage.vue'),
};

export const router = createRouter({
  history: createWebHistory(WORLD.base),
  routes: [
    { path: '/', redirect: '/bay' },
    { path: '/bay', name: 'bay', component: () => import('../bay/BayView.vue'), meta: { title: 'Bay' } },
    {
      path: '/bench/:person?',
      name: 'bench',
      component: () => import('../bench/BenchView.vue'),
      meta: { title: 'Bench' },
    },
    { path: '/records', redirect: '/records/due' },
    {
      path: '/records/due',
      name: 'due',
      component: () => import('../records/DueView.vue'),
      meta: { title: 'Due' },
    },
    {
      path: '/records/lasting',
      name: 'lasting',
      component: () => import('../records/LastingView.vue'),
      meta: { title: 'What lasts' },
    },
    {
      path: '/records/lessons',
      name: 'lessons',
      component: () => import('../records/LessonsView.vue'),
      meta: { title: 'Lessons' },
    },
    {
      path: '/records/report/:period?',
      name: 'report',
      component: () => import('../records/ReportView.vue'),
      meta: { title: 'Month and year' },
    },
    {
      path: '/arrivals',
      name: 'arrivals',
      component: () => import('../library/ArrivalsView.vue'),
      meta: { title: 'What arrived' },
    },
    {
      path: '/price-lists',
      name: 'price-lists',
      component: () => import('../library/PriceListsView.vue'),
      meta: { title: 'Price lists' },
    },
    {
      path: '/shops',
      name: 'shops',
      component: () => import('../exchange/ExchangeView.vue'),
      meta: { title: 'Files between shops' },
    },
    {
      path: '/first-day',
      name: 'first-day',
      component: () => import('../first-day/FirstDayView.vue'),
      meta: { title: 'First day' },
    },
    {
      path: '/vehicles',
      name: 'vehicles',
      component: () => import('../library/VehiclesView.vue'),
      meta: { title: 'Vehicles' },
    },
    {
      path: '/vehicles/new',
      name: 'vehicle-new',
      component: () => import('../library/VehicleFormView.vue'),
      meta: { title: 'New vehicle' },
    },
    {
      path: '/vehicles/:id',
      name: 'vehicle',
      component: () => import('../library/VehicleView.vue'),
      meta: { title: 'Vehicle' },
    },
    {
      path: '/vehicles/:id/edit',
      name: 'vehicle-edit',
      component: () => import('../library/VehicleFormView.vue'),
      meta: { title: 'Change vehicle' },
    },
    {
      path: '/vehicles/:id/new-job',
      name: 'job-new',
      component: () => import('../library/NewJobView.vue'),
      meta: { title: 'New job' },
    },
    {
      path: '/procedures',
      name: 'procedures',
      component: () => import('../library/ProceduresView.vue'),
      meta: { title: 'Procedures' },
    },
    {
      path: '/procedures/new',
      name: 'procedure-new',
      component: () => import('../library/editor/ProcedureEditor.vue'),
      meta: { title: 'New procedure' },
    },
    {
      path: '/procedures/:id/edit',
      name: 'procedure-edit',
      component: () => import('../library/editor/ProcedureEditor.vue'),
      meta: { title: 'Change procedure' },
    },
    {
      path: '/procedures/:id/difference',
      name: 'procedure-difference',
      component: () => import('../library/DifferenceView.vue'),
      meta: { title: 'Difference' },
    },
    {
      path: '/procedures/:id',
      name: 'procedure',
      component: () => import('../library/ProcedureView.vue'),
      meta: { title: 'Procedure' },
    },
    {
      path: '/recipes',
      name: 'recipes',
      component: () => import('../library/recipes/RecipesView.vue'),
      meta: { title: 'Recipes' },
    },
    {
      path: '/recipes/new',
      name: 'recipe-new',
      component: () => import('../library/recipes/RecipeEditor.vue'),
      meta: { title: 'New recipe' },
    },
    {
      path: '/recipes/:id',
      name: 'recipe',
      component: () => import('../library/recipes/RecipeEditor.vue'),
      meta: { title: 'Recipe' },
    },
    {
      path: '/stock/:id',
      name: 'stock-item',
      component: () => import('../library/StockItemView.vue'),
      meta: { title: 'Stock' },
    },
    {
      path: '/practice',
      name: 'practice',
      component: () => import('../practice/PracticeView.vue'),
      meta: { title: 'Practice' },
    },
    {
      path: '/practice/drills/:drill',
      name: 'drill',
      component: () => import('../practice/drills/DrillView.vue'),
      meta: { title: 'Drill' },
    },
    {
      path: '/practice/progress/:person?',
      name: 'progress',
      component: () => import('../practice/ProgressView.vue'),
      meta: { title: 'Progress' },
    },
    {
      path: '/practice/jobs/:id/review',
      name: 'practice-review',
      component: () => import('../practice/review/ReviewView.vue'),
      meta: { title: 'Review' },
    },
    { path: '/jobs', name: 'jobs', component: () => import('../library/JobsView.vue'), meta: { title: 'Jobs' } },
    {
      path: '/returns',
      name: 'returns',
      component: () => import('../library/ReturnsView.vue'),
      meta: { title: 'Returns box' },
    },
    { path: '/stock', name: 'stock', component: () => import('../library/StockView.vue'), meta: { title: 'Stock' } },
    {
      path: '/tools/torque',
      name: 'torque-bench',
      component: () => import('../tools/TorqueTool.vue'),
      meta: { title: 'Torque' },
    },
    {
      path: '/tools/advice',
      name: 'advice',
      component: () => import('../tools/AdviceView.vue'),
      meta: { title: 'What may touch what' },
    },
    {
      path: '/tools/air',
      name: 'air',
      component: () => import('../tools/AirView.vue'),
      meta: { title: 'Air in the bay' },
    },
    {
      path: '/tools/coolant',
      name: 'coolant-bench',
      component: () => import('../tools/CoolantTool.vue'),
      meta: { title: 'Coolant' },
    },
    { path: '/tools', name: 'tools', component: () => import('../tools/ToolsView.vue'), meta: { title: 'Tools' } },
    {
      path: '/knowledge',
      name: 'knowledge',
      component: () => import('../knowledge/KnowledgeView.vue'),
      meta: { title: 'Knowledge' },
    },
    {
      path: '/settings',
      name: 'settings',
      component: () => import('../settings/SettingsView.vue'),
      meta: { title: 'Settings' },
    },
    {
      path: '/settings/access',
      name: 'access',
      component: () => import('../access/AccessView.vue'),
      meta: { title: 'Who is let in' },
    },
    {
      path: '/for/:token',
      name: 'for-customer',
      component: () => import('../outside/CustomerView.vue'),
      meta: { title: 'From the workshop' },
    },
    {
      path: '/phone/:token',
      name: 'phone',
      component: () => import('../outside/PhoneView.vue'),
      meta: { title: 'Photos' },
    },
    {
      path: '/units',
      name: 'units',
      component: () => import('../library/UnitsView.vue'),
      meta: { title: 'Units' },
    },
    { path: '/units/:id', name: 'unit', component: () => import('../library/UnitView.vue'), meta: { title: 'Unit' } },
    {
      path: '/families',
      name: 'families',
      component: () => import('../library/FamiliesView.vue'),
      meta: { title: 'Engine families' },
    },
    {
      path: '/families/:id',
      name: 'family',
      component: () => import('../library/FamilyView.vue'),
      meta: { title: 'Engine family' },
    },
    {
      path: '/jobs/:id',
      component: () => import('../stages/JobSheet.vue'),
      children: [
        { path: '', name: 'job', component: () => import('../stages/JobStart.vue') },
        ...STAGES.map((stage) => ({
          path: stage,
          name: `stage-${stage}`,
          component: stageViews[stage],
          meta: { stage },
        })),
        {
          path: 'seized',
          name: 'seized',
          component: () => import('../stages/seized/SeizedView.vue'),
          meta: { stage: 'clean', title: 'Seized screws' },
        },
        {
          path: 'replace',
          name: 'replace',
          component: () => import('../stages/rebuild/ReplaceView.vue'),
          meta: { stage: 'rebuild', title: 'Old against new' },
        },
        {
          path: 'tray',
          name: 'tray',
          component: () => import('../stages/items/tray/TrayView.vue'),
          meta: { stage: 'strip', title: 'Lay-out tray' },
        },
      ],
    },
    {
      path: '/jobs/:id/hands/run/:purpose(relearn|bleed)',
      name: 'hands-run',
      component: () => import('../stages/runs/RunHands.vue'),
      meta: { bare: true, title: 'Hands busy, run' },
    },
    {
      path: '/jobs/:id/hands/:way(strip|refit)',
      name: 'hands',
      component: () => import('../stages/hands-busy/HandsBusyView.vue'),
      meta: { bare: true, title: 'Hands busy' },
    },
    {
      path: '/jobs/:id/hands/clean',
      name: 'hands-clean',
      component: () => import('../stages/cleaning/CleanHands.vue'),
      meta: { bare: true, title: 'Hands busy' },
    },
    {
      path: '/jobs/:id/tags',
      name: 'tags',
      component: () => import('../stages/items/tray/TagsView.vue'),
      meta: { bare: true, title: 'Tags' },
    },
    { path: '/:path(.*)*', name: 'nowhere', component: () => import('./NowhereView.vue'), meta: { title: 'Nowhere' } },
  ],
});

router.afterEach((to) => {
  const { title, stage } = to.meta;
  document.title = `${typeof title === 'string' ? title : typeof stage === 'string' ? stage : 'Job'} · Unhurried Wrench`;
});
