/** Work in the background, shared among all servers on one database. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.schedule;
