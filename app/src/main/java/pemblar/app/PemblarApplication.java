package pemblar.app;

import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts Pemblar's web application. */
@SpringBootApplication
public class PemblarApplication {
    public static void main(String[] arguments) {
        SpringApplication application = new SpringApplication(PemblarApplication.class);
        application.addListeners(new BeansAhead());
        application.run(arguments);
        LoggerFactory.getLogger(PemblarApplication.class).info("Pemblar is ready");
    }
}
