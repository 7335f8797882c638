/** Work on the tanks themselves: how often it is planned, and when it was done. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.chore;
