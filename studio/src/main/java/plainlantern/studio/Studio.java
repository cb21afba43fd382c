package plainlantern.studio;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import plainlantern.rendering.RasterPainter;
import plainlantern.studio.room.Work;

/** The web application. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class Studio {
    public static void main(String[] args) {
        // Uploads on their way lie where the next start looks for what this one left behind.
        System.setProperty("lantern.work", Work.folder().toString());
        System.setProperty("server.tomcat.basedir", Work.folder().resolve("tomcat").toString());
        RasterPainter.prepare();
        SpringApplication.run(Studio.class, args);
    }
}
