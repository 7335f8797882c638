/** Serves the built front end and describes the API. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.web;
