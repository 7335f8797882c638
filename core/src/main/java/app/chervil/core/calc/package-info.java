/** Unit types and the sums that only need them. Read {@link app.chervil.core.calc.FlowRate} first. */
package app.chervil.core.calc;
