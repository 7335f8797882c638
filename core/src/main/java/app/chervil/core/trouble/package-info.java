/**
 * From "something is wrong" to the part, one cheap look at a time: a network of faults, signs and repairs, weighed with what is
 * known of a filter (docs/sources.md#trouble). Read {@link app.chervil.core.trouble.Inquiry} first.
 */
package app.chervil.core.trouble;
