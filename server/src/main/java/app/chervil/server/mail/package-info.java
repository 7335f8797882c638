/** The evening before: a mail with tomorrow's visits. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.mail;
