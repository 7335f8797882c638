/**
 * What-if: the coming year under several ways of working, lived in the background. Start with
 * {@link app.chervil.server.future.FutureOperations}.
 */
@NullMarked
package app.chervil.server.future;

import org.jspecify.annotations.NullMarked;
