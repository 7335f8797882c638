/** Devices that are not there: what they would read at a tank that never was. */
package app.chervil.sim.device;
