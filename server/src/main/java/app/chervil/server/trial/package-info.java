/** Two intervals of a task tried in turns. Read {@link app.chervil.server.trial.TrialOperations} first. */
@NullMarked
package app.chervil.server.trial;

import org.jspecify.annotations.NullMarked;
