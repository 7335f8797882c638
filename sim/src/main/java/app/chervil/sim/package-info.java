/** Tanks, stages and people that never were. Rests on the core alone; the server asks it for what-if and the invented site. */
package app.chervil.sim;
