package cauldron.server.platform;

import java.util.Arrays;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Behind a reverse proxy: who a visitor is and whether the way is encrypted is believed only from proxies at addresses
 * that the administrator names in {@code cauldron.proxies}. Anyone else can write such headers, too.
 */
@Component
class Proxies implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private final String addresses;

    Proxies(@Value("${cauldron.proxies:}") String addresses) {
        this.addresses = addresses;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        if (addresses.isBlank()) {
            return;
        }
        RemoteIpValve valve = new RemoteIpValve();
        valve.setInternalProxies(Arrays.stream(addresses.split(",")).map(String::strip).map(Pattern::quote)
                .collect(Collectors.joining("|")));
        valve.setRemoteIpHeader("X-Forwarded-For");
        valve.setProtocolHeader("X-Forwarded-Proto");
        valve.setHostHeader("X-Forwarded-Host");
        valve.setPortHeader("X-Forwarded-Port");
        factory.addEngineValves(valve);
    }
}
