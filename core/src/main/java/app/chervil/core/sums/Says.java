package app.chervil.core.sums;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What a value of a result is measured in. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Says {
    Measure value();

    /** As the API spells it, where that is no name in Java. */
    String name() default "";
}
