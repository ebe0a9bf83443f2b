package pemblar.app.frame.door;

import org.apache.catalina.core.StandardHost;
import org.springframework.boot.tomcat.ConfigurableTomcatWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The server under the application. */
@Configuration
class ServerConfiguration {
    @Bean
    WebServerFactoryCustomizer<ConfigurableTomcatWebServerFactory> ownRefusals() {
        return factory -> factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host)
                host.setErrorReportValveClass(BareRefusal.class.getName());
        });
    }
}
