package wrenchnotes.server.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Set;
import org.eclipse.jetty.server.Connector;
import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.HttpConnectionFactory;
import org.eclipse.jetty.server.Server;
import org.eclipse.jetty.server.ServerConnector;
import org.eclipse.jetty.server.handler.EagerContentHandler;
import org.springframework.boot.jetty.servlet.JettyServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.web.filter.ForwardedHeaderFilter;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * How requests are taken off the network. A small body is there as a whole before anybody works on it, so that hundreds of slow senders
 * hold a connection each and no worker; who takes too long is hung up on.
 */
@Configuration(proxyBeanMethods = false)
class Gate {

    private static final Duration IDLE = Duration.ofSeconds(20);
    private static final int FRAMING = 64;

    @Bean
    WebServerFactoryCustomizer<JettyServletWebServerFactory> wholeBodies(DoorSettings settings) {
        return factory -> factory.addServerCustomizers(server -> guard(server, settings.patience()));
    }

    private static void guard(Server server, Duration patience) {
        for (Connector connector : server.getConnectors()) {
            guard(connector);
        }
        Handler arrived = new Arrival.Arrived(server.getHandler());
        Handler whole = new EagerContentHandler(
                arrived, new EagerContentHandler.RetainedContentLoaderFactory(BoundedBody.USUAL, FRAMING, false));
        server.setHandler(new Arrival(whole, BoundedBody.USUAL, patience));
    }

    static void guard(Connector connector) {
        if (connector instanceof ServerConnector network) {
            network.setIdleTimeout(IDLE.toMillis());
        }
        connector
                .getConnectionFactory(HttpConnectionFactory.class)
                .getHttpConfiguration()
                .setSendServerVersion(false);
    }

    /** Whom a request may be addressed to: a page elsewhere that has its name point here is answered nothing. */
    @Bean
    HttpFirewall firewall(Hosts hosts) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(hosts::answersTo);
        return firewall;
    }

    /** What a proxy says of the browser behind it counts if it is one of ours; from anybody else it is taken off. */
    @Bean
    FilterRegistrationBean<OncePerRequestFilter> forwarded(DoorSettings settings) {
        FilterRegistrationBean<OncePerRequestFilter> first =
                new FilterRegistrationBean<>(believing(settings.proxies()));
        first.setOrder(Ordered.HIGHEST_PRECEDENCE);
        return first;
    }

    private static OncePerRequestFilter believing(Set<String> proxies) {
        ForwardedHeaderFilter believed = new ForwardedHeaderFilter();
        ForwardedHeaderFilter takenOff = new ForwardedHeaderFilter();
        takenOff.setRemoveOnly(true);
        return new OncePerRequestFilter() {
            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                boolean ours = proxies.contains(request.getRemoteAddr());
                (ours ? believed : takenOff).doFilter(request, response, chain);
            }
        };
    }
}
