package wrenchnotes.server;

import java.util.Comparator;
import org.junit.jupiter.api.ClassDescriptor;
import org.junit.jupiter.api.ClassOrderer;
import org.junit.jupiter.api.ClassOrdererContext;

/**
 * What is looked at in the browser and what starts the packaged program takes longest and begins first; the others stay by name. One of the threads that all
 * are run by takes them from the end, so that what is left over at last is short.
 */
public final class LongestFirst implements ClassOrderer {

    @Override
    public void orderClasses(ClassOrdererContext context) {
        context.getClassDescriptors().sort(Comparator.comparing(LongestFirst::isShort));
    }

    private static boolean isShort(ClassDescriptor one) {
        Class<?> tests = one.getTestClass();
        return !tests.getPackageName().endsWith(".browser")
                && !tests.getSimpleName().endsWith("IT");
    }
}
