/**
 * Care tasks done together on one tank. Read {@link app.chervil.core.visit.Rounds} first: it turns forecasts into the
 * work of a day.
 */
package app.chervil.core.visit;
