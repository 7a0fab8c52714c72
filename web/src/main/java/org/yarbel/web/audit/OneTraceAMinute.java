package org.yarbel.web.audit;

import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.IThrowableProxy;
import ch.qos.logback.core.filter.Filter;
import ch.qos.logback.core.spi.FilterReply;
import java.util.LinkedHashMap;
import java.util.Map;

/** Writes each trace once a minute, whatever somebody does to have it written again. */
public final class OneTraceAMinute extends Filter<ILoggingEvent> {
  private static final long MINUTE = 60_000;
  private static final int MOST = 200;

  private final Map<String, Long> written = new LinkedHashMap<>();

  @Override
  public synchronized FilterReply decide(ILoggingEvent event) {
    IThrowableProxy thrown = event.getThrowableProxy();
    if (thrown == null) {
      return FilterReply.NEUTRAL;
    }
    IThrowableProxy root = thrown;
    while (root.getCause() != null) {
      root = root.getCause();
    }
    String where = root.getStackTraceElementProxyArray().length == 0 ? "" : root.getStackTraceElementProxyArray()[0].toString();
    String what = event.getLoggerName() + " " + thrown.getClassName() + " " + root.getClassName() + " " + where;
    Long before = written.get(what);
    if (before != null && event.getTimeStamp() - before < MINUTE) {
      return FilterReply.DENY;
    }
    if (written.size() >= MOST) {
      written.remove(written.keySet().iterator().next());
    }
    written.remove(what);
    written.put(what, event.getTimeStamp());
    return FilterReply.NEUTRAL;
  }
}
