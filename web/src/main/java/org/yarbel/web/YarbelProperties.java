package org.yarbel.web;

import java.net.URI;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What the launcher decides.
 *
 * @param demo whether the demo club is made and kept near today
 * @param today a fixed day for screenshots and tests; null for the real clock
 * @param setupCode the one-time code that the first visit must give; null when there is none to give
 * @param baseUrl the address people reach it by, such as {@code https://club.example}; null for this machine's own
 * @param trustedProxies the addresses of proxies before it that are believed; none where null is given
 * @param data the folder its data and logs are in; null where it keeps none, as in tests
 * @param healthToken what a supervisor elsewhere must send to be told the state; null when only this machine is told
 */
@ConfigurationProperties("yarbel")
public record YarbelProperties(boolean demo, @Nullable LocalDate today, @Nullable String setupCode, @Nullable URI baseUrl,
    @Nullable List<String> trustedProxies, @Nullable Path data, @Nullable String healthToken) {
  public YarbelProperties {
    trustedProxies = trustedProxies == null ? List.of() : List.copyOf(trustedProxies);
  }

  @Override
  public List<String> trustedProxies() {
    return trustedProxies == null ? List.of() : trustedProxies;
  }
}
