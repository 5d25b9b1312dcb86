package wrenchnotes.server.ground;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import wrenchnotes.core.team.Act;

/** What a door of the API lets one do, and so who may go through it. On a method, it stands before that of the class. */
@Target({ElementType.METHOD, ElementType.TYPE})
@Retention(RetentionPolicy.RUNTIME)
public @interface May {
    Act value();

    /** Whether looking asks for it too: else everybody of the shop may read. */
    boolean toRead() default false;
}
