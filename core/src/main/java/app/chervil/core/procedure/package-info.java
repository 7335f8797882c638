/**
 * The guided work at a filter: steps are data, assembled for the tasks that are due. Read
 * {@link app.chervil.core.procedure.Procedure} first, then {@code StepCatalogue}, where every step stands. Order and cautions:
 * docs/sources.md#procedures.
 */
package app.chervil.core.procedure;
