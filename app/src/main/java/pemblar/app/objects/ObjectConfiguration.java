package pemblar.app.objects;

import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

@Configuration(proxyBeanMethods = false)
@EnableConfigurationProperties(ObjectSettings.class)
class ObjectConfiguration {
    @Bean
    ObjectStore objectStore(ObjectSettings settings) {
        return settings.isSet() ? new BucketObjects(settings) : new NoObjects();
    }
}
