package app.chervil.core.sums;

/** What became of a sum. */
public sealed interface Outcome permits Solved, Refused {}
