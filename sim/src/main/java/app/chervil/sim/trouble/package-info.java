/** Faults planted in filters that never were, and keepers who look for them. Read {@link app.chervil.sim.trouble.Planted} first. */
package app.chervil.sim.trouble;
