package org.yarbel.web.edge;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.util.Set;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.AbstractProtocol;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Where others reach the application by TLS, plain HTTP is answered with the address of TLS and nothing else; this machine is told how it
 * is. A proxy that is believed says by which of the two somebody came.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class PlainDoor extends OncePerRequestFilter {
  private static final Set<String> THIS_MACHINE = Set.of("127.0.0.1", "0:0:0:0:0:0:0:1", "::1");
  private static final String HEALTH = "/health";

  private final ListenProperties listen;
  private final Address address;

  PlainDoor(ListenProperties listen, Address address) {
    this.listen = listen;
    this.address = address;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !listen.tlsOnly() || request.isSecure();
  }

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String path = request.getRequestURI();
    boolean health = path.equals(HEALTH) || path.startsWith(HEALTH + "/");
    if (health && THIS_MACHINE.contains(request.getRemoteAddr())) {
      chain.doFilter(request, response);
      return;
    }
    // no word of what was asked is given back: it was asked in the clear, and may be anything
    response.setStatus(HttpStatus.PERMANENT_REDIRECT.value());
    response.setHeader(HttpHeaders.LOCATION, address.base() + "/");
    response.setHeader(HttpHeaders.CONNECTION, "close");
    response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
  }

  /** The places where plain HTTP is listened to. */
  @Configuration
  static class Doors {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> plainDoors(ListenProperties listen) {
      return server -> listen.plain().forEach(at -> server.addAdditionalConnectors(connector(at)));
    }

    private static Connector connector(String at) {
      int colon = at.lastIndexOf(':');
      Connector connector = new Connector();
      connector.setPort(Integer.parseInt(at.substring(colon + 1)));
      try {
        ((AbstractProtocol<?>) connector.getProtocolHandler()).setAddress(InetAddress.getByName(at.substring(0, colon)));
      } catch (java.net.UnknownHostException wrong) {
        throw new IllegalArgumentException("Plain HTTP must be listened to at an address of this machine but was " + at, wrong);
      }
      connector.setXpoweredBy(false);
      return connector;
    }
  }
}
