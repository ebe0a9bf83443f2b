package pemblar.app.frame;

import java.time.Clock;
import java.time.InstantSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one place where the system clock is read. */
@Configuration
class ClockConfiguration {
    @Bean
    InstantSource clock() {
        return Clock.systemUTC();
    }
}
