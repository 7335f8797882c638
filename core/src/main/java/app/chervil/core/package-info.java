/** The rules and computation of Chervil: plain values and functions, no interface, storage or clock. */
package app.chervil.core;
