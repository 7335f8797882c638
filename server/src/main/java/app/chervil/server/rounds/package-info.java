/** The work of today and the week, answered from the site's picture and its plan. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.rounds;
