package wrenchnotes.server.ground;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** That a door takes more than the 64 kB that all others do: a picture, a file. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Takes {
    int megabytes();
}
