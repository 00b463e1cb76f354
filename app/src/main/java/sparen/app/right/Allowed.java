package sparen.app.right;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Who may ask for an operation. One without this is refused to everybody, and fails the build. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Allowed {
    /** The least role that may; at a site also by the crews that the site is in. */
    Role value();

    /** Whether only somebody at a screen may, and no script with a token. */
    boolean bySession() default false;

    /** Whether somebody may who still has to set up the second factor that the organisation asks for. */
    boolean beforeSecondFactor() default false;
}
