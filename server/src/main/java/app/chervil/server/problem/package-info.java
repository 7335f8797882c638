/** What can go wrong for a caller, as RFC 9457 problem documents with stable codes. Read Problems first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.problem;
