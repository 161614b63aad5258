/**
 * What a fitter measures, as sheets say it: the opening and what is behind it, a radio's body, and how a kit holds it.
 * Lengths are ranges: a ruler is right to a millimetre. Entry points: {@link velvetbezel.sheet.fit.Site},
 * {@link velvetbezel.sheet.fit.RadioBody}, {@link velvetbezel.sheet.fit.KitFrame},
 * {@link velvetbezel.sheet.fit.FitReader}. What follows from it is worked out in {@code velvetbezel.fit}.
 */
package velvetbezel.sheet.fit;
