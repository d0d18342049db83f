package garden.vivarium.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts Vivarium. */
@SpringBootApplication
public class VivariumApplication {

    public static void main(String[] args) {
        SpringApplication.run(VivariumApplication.class, args);
    }
}
