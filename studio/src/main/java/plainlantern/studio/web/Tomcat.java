package plainlantern.studio.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Our own words also where a request is so malformed that it never reaches the application. */
@Configuration
public class Tomcat {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> errorReport() {
        return factory -> factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host) host.setErrorReportValveClass(Report.class.getName());
        });
    }

    /** Made by Tomcat, by its name. */
    public static class Report extends ErrorReportValve {
        @Override
        protected void report(Request request, Response response, Throwable throwable) {
            int status = response.getStatus();
            if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) return;
            try {
                response.setContentType("text/html;charset=utf-8");
                response.getReporter().write(new String(Words.page(status).getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8));
                response.finishResponse();
            } catch (IOException | IllegalStateException e) {
                // Whoever asked is gone.
            }
        }
    }
}
