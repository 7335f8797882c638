package app.chervil.server.account;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/** At least ten characters, and at most the 72 bytes that the hash takes in. */
@Target({ElementType.FIELD, ElementType.PARAMETER, ElementType.RECORD_COMPONENT})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = FitPassword.Validator.class)
public @interface FitPassword {
    String message() default "Use at least 10 characters, and at most 72 bytes.";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Checks the length both ways. */
    class Validator implements ConstraintValidator<FitPassword, String> {
        @Override
        public boolean isValid(@Nullable String password, ConstraintValidatorContext context) {
            return password != null
                    && password.codePointCount(0, password.length()) >= 10
                    && password.getBytes(StandardCharsets.UTF_8).length <= 72;
        }
    }
}
