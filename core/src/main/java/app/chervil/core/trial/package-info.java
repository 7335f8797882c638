/**
 * Ways of doing one task tried in turns. Read {@link app.chervil.core.trial.Design} first: it says which way holds on a day;
 * {@link app.chervil.core.trial.Verdict} says what came of it, {@link app.chervil.core.trial.Knee} what is worth its work.
 */
package app.chervil.core.trial;
