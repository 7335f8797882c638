/** Pieces of media and where each has been; exchanges that go a portion at a time. */
@NullMarked
package app.chervil.server.media;

import org.jspecify.annotations.NullMarked;
