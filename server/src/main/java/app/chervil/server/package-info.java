/** The server: HTTP to operations to core to mappers. Each feature is a package named as in the core. */
@NullMarked
package app.chervil.server;

import org.jspecify.annotations.NullMarked;
