package sparen.app.web;

import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.JsonErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** What the server itself refuses, before the application, is told as JSON and not as a page with its name. */
@Component
class ServerErrors implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    @Override
    public void customize(TomcatServletWebServerFactory server) {
        server.addContextCustomizers(context ->
                ((StandardHost) context.getParent()).setErrorReportValveClass(JsonErrorReportValve.class.getName()));
    }
}
