/**
 * Devices beside the tanks. Read {@link app.chervil.server.device.SignalOperations} first: readings come in there, from HTTP
 * and from a broker alike, and what they mean is asked of the core.
 */
@org.jspecify.annotations.NullMarked
package app.chervil.server.device;
