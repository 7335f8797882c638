/**
 * A filter as it stands there: how its water is held, what sits where, and what a hand has to lift to reach it. Read
 * {@link app.chervil.core.passport.Passport} first, then {@link app.chervil.core.passport.Reach}.
 */
package app.chervil.core.passport;
