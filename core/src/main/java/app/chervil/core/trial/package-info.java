/**
 * Two intervals of one task tried in turns on one tank. Read {@link app.chervil.core.trial.Design} first: it says which
 * interval holds on a day; {@link app.chervil.core.trial.Verdict} says what came of it.
 */
package app.chervil.core.trial;
