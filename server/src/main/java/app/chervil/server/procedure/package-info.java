/** The guided work at the tank: before starting, step by step, and into the log. Read GuidedOperations first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.procedure;
