/** Who has how much time on which day, and what helpers may do. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.people;
