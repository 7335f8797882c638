/**
 * From a site's picture to visits on real days that people were told: what is to be planned, what keepers decided, what moved,
 * and which visit is which. Read {@link app.chervil.core.agenda.Replanning} first.
 */
package app.chervil.core.agenda;
