/** Looks that finished work asks for some time later. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.followup;
