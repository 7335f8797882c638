/** What a tank's water says: readings, holds, watches, and the sums on them. Read WaterBook first. */
package app.chervil.core.water;
