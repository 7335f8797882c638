/** Services done, with photos and the ledger. Read ServiceOperations first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.visit;
