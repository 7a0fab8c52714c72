package org.yarbel.web;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What the launcher decides.
 *
 * @param demo whether the demo club is made and kept near today
 * @param today a fixed day for screenshots and tests; null for the real clock
 * @param setupCode the one-time code that the first visit must give; null when there is none to give
 */
@ConfigurationProperties("yarbel")
public record YarbelProperties(boolean demo, @Nullable LocalDate today, @Nullable String setupCode) {}
