package app.chervil.core.interval;

import java.time.LocalDate;

/**
 * What a course has come to, for tests outside its package.
 *
 * @param since the day the present run began
 * @param earliest, ideal and latest in calendar days after {@code since}
 * @param held name of the limit applied last
 * @param risk that the stage is full by its latest day
 */
public record CourseProbe(
        double mean,
        double variance,
        LocalDate since,
        double earliest,
        double ideal,
        double latest,
        String held,
        double risk) {
    public static CourseProbe of(Course course) {
        Decision decision = course.decision();
        Window.Days days = course.calendarDays(decision);
        return new CourseProbe(
                course.belief().mean(),
                course.belief().variance(),
                course.run().since(),
                days.earliest(),
                days.ideal(),
                days.latest(),
                decision.held().name(),
                decision.risk());
    }
}
