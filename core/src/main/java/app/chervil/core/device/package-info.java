/** What devices beside a tank say, what of it people must hear, and when a plug may be switched on. */
package app.chervil.core.device;
