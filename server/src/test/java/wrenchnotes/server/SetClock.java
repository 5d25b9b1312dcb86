package wrenchnotes.server;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.support.GenericApplicationContext;

/** A clock in the place of the shop's own, which tests set: forward, back, or still. */
public class SetClock implements ApplicationContextInitializer<GenericApplicationContext> {

    /** Of all shops that listen to it: whoever sets it puts it right again. */
    static final Hands HANDS = new Hands();

    public static final class Hands extends Clock {

        private volatile Duration off = Duration.ZERO;
        private volatile Instant still;

        /** Off the machine's clock by so much. */
        public void off(Duration by) {
            still = null;
            off = by;
        }

        /** Stands at this moment until it is set again. */
        public void still(Instant at) {
            still = at;
        }

        @Override
        public Instant instant() {
            return still == null ? Instant.now().plus(off) : still;
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return Clock.fixed(instant(), zone);
        }
    }

    @Override
    public void initialize(GenericApplicationContext shop) {
        shop.getBeanFactory().addBeanPostProcessor(new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return name.equals("clock") ? HANDS : bean;
            }
        });
    }
}
