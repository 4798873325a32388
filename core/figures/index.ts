export { figureOf, figureProblem, optionFactors, rungChances, SHOP_FIGURES, soakFigures } from './figures.ts';
export type { FigureSaid, ShopFigure, ShopFigureId, ShopValues } from './figures.ts';
