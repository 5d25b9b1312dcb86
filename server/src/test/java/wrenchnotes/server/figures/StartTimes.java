package wrenchnotes.server.figures;

import java.io.IOException;
import wrenchnotes.server.PackagedShop;

/** How long it takes from the start to the first answer. */
final class StartTimes {

    private StartTimes() {}

    /** A way to start it. */
    interface Start {
        PackagedShop shop() throws IOException, InterruptedException;
    }

    static void measure(String how, Start start) throws IOException, InterruptedException {
        long[] nanos = new long[5];
        for (int n = 0; n < nanos.length; n++) {
            long begin = System.nanoTime();
            PackagedShop shop = start.shop();
            nanos[n] = System.nanoTime() - begin;
            shop.close();
        }
        System.out.printf(
                "start to first answer, demo data already made, %s: median of 5 %.1f s, aim 6 s%n",
                how, new Times(nanos).medianMillis() / 1000);
    }
}
