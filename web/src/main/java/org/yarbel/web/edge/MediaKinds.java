package org.yarbel.web.edge;

import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.MimeMappings;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Kinds of files the server does not know by itself. */
@Configuration
class MediaKinds {
  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> manifestKind() {
    return server -> {
      MimeMappings kinds = new MimeMappings();
      kinds.add("webmanifest", "application/manifest+json");
      server.addMimeMappings(kinds);
    };
  }
}
