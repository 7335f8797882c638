/** Readings, water changes, medications and what follows from them. Read TankWaterOperations first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.water;
