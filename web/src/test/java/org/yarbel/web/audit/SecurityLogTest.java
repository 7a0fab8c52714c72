package org.yarbel.web.audit;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.LoggingEvent;
import ch.qos.logback.classic.spi.ThrowableProxy;
import ch.qos.logback.core.spi.FilterReply;
import org.junit.jupiter.api.Test;

class SecurityLogTest {
  @Test
  void whatSomebodyTypesStaysOnItsLine() {
    assertThat(SecurityLog.plain("sign-in as a\r\nSIGNED_IN club=1\u2028x\u202e\u001b[2J"))
        .isEqualTo("sign-in as a??SIGNED_IN club=1?x??[2J");
    assertThat(SecurityLog.plain("x".repeat(1000))).hasSize(200);
  }

  @Test
  void aTraceIsWrittenOnceAMinute() {
    OneTraceAMinute filter = new OneTraceAMinute();
    long now = 1_000_000;
    assertThat(filter.decide(event(now))).isEqualTo(FilterReply.NEUTRAL);
    assertThat(filter.decide(event(now + 59_999))).isEqualTo(FilterReply.DENY);
    assertThat(filter.decide(event(now + 60_000))).isEqualTo(FilterReply.NEUTRAL);
  }

  private static ILoggingEvent event(long at) {
    LoggingEvent event = new LoggingEvent();
    event.setLoggerName("somewhere");
    event.setTimeStamp(at);
    event.setThrowableProxy(new ThrowableProxy(new IllegalStateException("of request " + at)));
    return event;
  }
}
