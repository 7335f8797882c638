/** Tanks, and what changed on them. Read TankOperations first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.tank;
