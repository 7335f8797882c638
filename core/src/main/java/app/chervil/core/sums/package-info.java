/**
 * The arithmetic of the bench: flow, water, media, cost, cutting. Each {@link app.chervil.core.sums.Sum} declares the
 * {@link app.chervil.core.sums.Field}s it asks for and answers with a {@link app.chervil.core.sums.Solved} or a
 * {@link app.chervil.core.sums.Refused}; {@link app.chervil.core.sums.Sums} lists them all. Formulas, rules and their
 * sources: docs/sources.md#bench-sums.
 */
package app.chervil.core.sums;
