package app.chervil.server.visit;

import app.chervil.core.interval.Note;
import app.chervil.core.interval.Start.Sureness;
import app.chervil.core.site.Asked;
import app.chervil.core.site.Filter;
import app.chervil.server.visit.SavedService.AskedQuestion;
import app.chervil.server.visit.SavedService.Choice;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What is asked once about a service, where what was typed surprises. What was typed is kept meanwhile. */
final class Questions {
    private static final Map<Asked, Note> BY_NOTE = Map.of(
            Asked.FLOW_DOUBTED, Note.FLOW_DOUBTED,
            Asked.FLOW_UNEXPLAINED, Note.FLOW_UNEXPLAINED,
            Asked.FLOW_NOT_RESTORED, Note.FLOW_NOT_RESTORED,
            Asked.SOON_FULL, Note.SOON_FULL);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final List<Choice> AGES = List.of(
            new Choice("DAYS_30", "About a month before"),
            new Choice("DAYS_90", "About three months before"),
            new Choice("DAYS_180", "About half a year before"),
            new Choice("DAYS_365", "About a year before"),
            new Choice("UNKNOWN", "Nobody knows"));
    private static final List<Choice> FAULTS = List.of(
            new Choice("PUMP", "Pump or impeller"),
            new Choice("HOSE", "Hose"),
            new Choice("VALVE", "Valve or tap"),
            new Choice("AIR", "Air in the head"),
            new Choice("UNKNOWN", "Don't know"));

    private Questions() {}

    /**
     * What a service makes us ask about one filter.
     *
     * @param with what is made of the log with this service
     * @param without what was made of it before
     * @param first whether it is the first service of this filter
     * @param gap whether a service seems to be missing before it
     */
    static List<AskedQuestion> of(Filter filter, Set<Note> with, Set<Note> without, boolean first, boolean gap) {
        List<AskedQuestion> questions = new ArrayList<>();
        if (first && filter.cleaned().sureness() == Sureness.UNKNOWN) {
            questions.add(question(filter, Asked.START));
        }
        EnumSet<Asked> asked = EnumSet.noneOf(Asked.class);
        BY_NOTE.forEach((question, note) -> {
            if (with.contains(note) && !without.contains(note)) {
                asked.add(question);
            }
        });
        if (gap) {
            asked.add(Asked.LONG_GAP);
        }
        asked.forEach(one -> questions.add(question(filter, one)));
        return questions;
    }

    /** What is still to be asked about the first service of a filter of unknown age. */
    static AskedQuestion start(Filter filter, LocalDate first) {
        return new AskedQuestion(
                filter.id(),
                filter.name(),
                Asked.START,
                "When was " + filter.name() + " last cleaned before " + DAY.format(first) + "?",
                AGES);
    }

    private static AskedQuestion question(Filter filter, Asked asked) {
        return new AskedQuestion(filter.id(), filter.name(), asked, text(asked, filter.name()), choices(asked));
    }

    private static String text(Asked asked, String filter) {
        return switch (asked) {
            case START -> "When was " + filter + " last cleaned before this?";
            case FLOW_DOUBTED ->
                "That flow is higher than " + filter + " ever had clean, or than its plate promises. Is it right?";
            case FLOW_UNEXPLAINED ->
                "The dirt doesn't explain how much flow " + filter
                        + " had lost. Is it the pump, a hose, a valve or air? Until you know, the flow teaches nothing.";
            case FLOW_NOT_RESTORED ->
                "Even clean, " + filter + " gives far less flow than it once did. Is it the pump, a hose, a valve or"
                        + " air? Look there before you clean it again.";
            case SOON_FULL ->
                filter + " was full again so soon after its last service. Had it really filled again, or is this the"
                        + " same work?";
            case LONG_GAP ->
                "This work on " + filter
                        + " was not logged for very long. Is a service missing? You can log it for its own"
                        + " day, and every date follows.";
        };
    }

    private static List<Choice> choices(Asked asked) {
        return switch (asked) {
            case START -> AGES;
            case FLOW_DOUBTED -> List.of(new Choice(Asked.SURE, "Yes, I'm sure"), new Choice("NO", "No, leave it out"));
            case FLOW_UNEXPLAINED, FLOW_NOT_RESTORED -> FAULTS;
            case SOON_FULL ->
                List.of(new Choice(Asked.FULL_AGAIN, "It was full again"), new Choice("SAME", "It's the same work"));
            case LONG_GAP ->
                List.of(new Choice("MISSING", "Yes, one is missing"), new Choice("NONE", "No, it ran that long"));
        };
    }

    /** Whether a question has this answer. */
    static boolean knows(Asked asked, String answer) {
        return choices(asked).stream().anyMatch(choice -> choice.answer().equals(answer));
    }

    /** Days before the service that an answer to {@link Asked#START} means; empty if nobody knows. */
    static Optional<Integer> daysBefore(String answer) {
        return answer.startsWith("DAYS_")
                ? Optional.of(Integer.parseInt(answer.substring("DAYS_".length())))
                : Optional.empty();
    }
}
