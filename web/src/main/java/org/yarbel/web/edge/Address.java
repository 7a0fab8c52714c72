package org.yarbel.web.edge;

import java.net.URI;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;
import org.yarbel.web.YarbelProperties;

/**
 * Where the application is reached, as it was told at its start, and which proxies before it are believed. Nothing that comes
 * with a request decides it: whoever can send one can write any header.
 */
@Configuration
public class Address {
  /** The cookie of a session. */
  public static final String SESSION_COOKIE = "SESSION";

  private static final Pattern PLAIN = Pattern.compile("[0-9a-fA-F.:]+");
  private static final Pattern NUMBERS = Pattern.compile("[\\d.]+");
  private static final Pattern THIS_MACHINE = Pattern.compile("localhost|127(\\.\\d+){3}|\\[::1]");
  private static final Duration LONGEST = Duration.ofDays(90);

  private final YarbelProperties properties;
  private final Environment environment;

  Address(YarbelProperties properties, Environment environment) {
    this.properties = properties;
    this.environment = environment;
    URI base = properties.baseUrl();
    if (base != null && (base.getHost() == null || !List.of("http", "https").contains(base.getScheme()))) {
      throw new IllegalArgumentException("The base address must look like https://club.example but was " + base);
    }
    properties.trustedProxies().stream().filter(proxy -> !PLAIN.matcher(proxy).matches()).findFirst().ifPresent(wrong -> {
      throw new IllegalArgumentException("A trusted proxy must be an address of the network such as 127.0.0.1 but was " + wrong);
    });
  }

  /** The address people reach it by, without a slash at its end. */
  public String base() {
    URI base = properties.baseUrl();
    return base == null ? "http://127.0.0.1:" + environment.getProperty("local.server.port", environment.getProperty("server.port", "8080"))
        : base.toString().replaceFirst("/+$", "");
  }

  /** Whether people reach it by TLS. */
  public boolean secure() {
    return base().startsWith("https:");
  }

  /** Whether others than this machine can reach it. */
  public boolean reachable() {
    return !THIS_MACHINE.matcher(host()).matches();
  }

  /** Whether it is reached by a name, not by a number of the network. */
  public boolean named() {
    return !NUMBERS.matcher(host()).matches() && !host().startsWith("[");
  }

  private String host() {
    return Objects.requireNonNullElse(URI.create(base()).getHost(), "");
  }

  /** Believes what named proxies say of who asks; without any named, nobody is believed. */
  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> trustedProxies() {
    return server -> {
      if (!properties.trustedProxies().isEmpty()) {
        RemoteIpValve valve = new RemoteIpValve();
        valve.setInternalProxies(properties.trustedProxies().stream().map(Pattern::quote).collect(Collectors.joining("|")));
        valve.setRemoteIpHeader("X-Forwarded-For");
        valve.setProtocolHeader("X-Forwarded-Proto");
        // where it is reached stands in the base address
        valve.setHostHeader(null);
        server.addEngineValves(valve);
      }
    };
  }

  @Bean
  CookieSerializer cookieSerializer() {
    DefaultCookieSerializer cookies = new DefaultCookieSerializer();
    // the prefix lets a browser take it from this address alone, by TLS
    cookies.setCookieName(secure() ? "__Host-" + SESSION_COOKIE : SESSION_COOKIE);
    cookies.setUseHttpOnlyCookie(true);
    cookies.setUseSecureCookie(secure());
    cookies.setSameSite("Lax");
    // how long it counts stands with the session; a phone that is switched off keeps it
    cookies.setCookieMaxAge((int) LONGEST.toSeconds());
    return cookies;
  }
}
