/**
 * Cases of the trouble finder: asked at the tank, ended in work, kept and counted. Read
 * {@link app.chervil.server.trouble.TroubleOperations} first.
 */
@org.jspecify.annotations.NullMarked
package app.chervil.server.trouble;
