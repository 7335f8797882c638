package app.chervil.core.plan;

/** Something about a plan that cannot be had as it should be, to be told and never hidden. */
public sealed interface Trouble {
    /** The day it falls on. */
    int day();

    /**
     * More work than people have time for.
     *
     * @param minutes planned, set-ups included
     * @param capacity minutes there are
     */
    record TooMuch(int day, int minutes, int capacity) implements Trouble {}

    /** More work for a keeper alone than keepers have time for. */
    record TooMuchForKeeper(int day, int minutes, int capacity) implements Trouble {}

    /**
     * Disturbing work too close to other disturbing work of the tank.
     *
     * @param other the other chain; the same one if it follows itself too soon
     * @param otherDay when that is or was done
     */
    record TooClose(int day, ChainId chain, ChainId other, int otherDay) implements Trouble {}

    /** Work without what belongs to it on the same day. */
    record Apart(int day, ChainId chain, ChainId partner) implements Trouble {}

    /**
     * Work after its latest day.
     *
     * @param daysLate 1 or more
     */
    record Late(int day, ChainId chain, int k, int daysLate) implements Trouble {}
}
