/** The plan in people's own calendars, behind secret addresses. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.calendar;
