/** A body of water, how it is kept, and what changed on it. Read {@link app.chervil.core.tank.ContextChange} first. */
package app.chervil.core.tank;
