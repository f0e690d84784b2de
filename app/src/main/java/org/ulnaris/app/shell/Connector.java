package org.ulnaris.app.shell;

import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How requests come in: what the container itself refuses is answered in plain words. */
@Configuration
class Connector {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> plainRefusals() {
        return factory -> factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host) {
                host.setErrorReportValveClass(PlainRefusal.class.getName());
            }
        });
    }

    /** What is so malformed that it reaches no page: a line of text, or a problem document for programs. */
    public static final class PlainRefusal extends ErrorReportValve {
        @Override
        protected void report(Request request, Response response, Throwable thrown) {
            int status = response.getStatus();
            if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
                return;
            }
            SecurityConfig.HEADERS.forEach(response::setHeader);
            String uri = request.getCoyoteRequest().requestURI().toString();
            boolean program = uri != null && uri.startsWith("/api/");
            try {
                response.setContentType(program ? "application/problem+json" : "text/plain;charset=UTF-8");
                response.getReporter()
                        .write(
                                program
                                        ? "{\"status\":" + status + ",\"title\":\"Refused\",\"errors\":[]}"
                                        : "Ulnaris can't read this request (" + status + ").\n");
                response.finishResponse();
            } catch (IOException | IllegalStateException e) {
                container.getLogger().debug("nobody listens", e);
            }
        }
    }
}
