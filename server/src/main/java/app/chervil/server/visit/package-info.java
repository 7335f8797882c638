/** Services done and the rounds to come. Read ServiceOperations first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.visit;
