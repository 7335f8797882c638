package app.chervil.core.site;

import java.util.OptionalInt;

/**
 * What a trial says of a task's interval.
 *
 * @param days the interval; empty where the trial leaves the thing out for now
 * @param adopted whether the trial is over and its keeper chose this way; it then says where a fixed interval comes from
 */
public record Tried(OptionalInt days, boolean adopted) {}
