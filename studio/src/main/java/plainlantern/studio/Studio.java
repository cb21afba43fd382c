package plainlantern.studio;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** The web application. */
@SpringBootApplication
public class Studio {
    public static void main(String[] args) {
        SpringApplication.run(Studio.class, args);
    }
}
