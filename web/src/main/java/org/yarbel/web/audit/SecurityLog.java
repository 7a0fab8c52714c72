package org.yarbel.web.audit;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Writes security events down: a line each with time, event, club, account, address and a few words. It is only ever appended
 * to; how long it is kept stands in {@code logback-spring.xml}. Passwords, codes, tokens and addresses of feeds never go in.
 */
@Component
public class SecurityLog {
  /** The logger that the configuration gives a file of its own. */
  public static final String NAME = "security";

  private static final Logger LOG = LoggerFactory.getLogger(NAME);
  private static final int MOST_CHARACTERS = 200;

  /** What can happen. */
  public enum Event {
    SIGNED_IN,
    SIGN_IN_REFUSED,
    SIGNED_OUT,
    SIGN_IN_ENDED,
    LIMIT_MET,
    ACCESS_DENIED,
    FIRST_VISIT,
    ACCOUNT_MADE,
    ACCOUNT_DISABLED,
    ACCOUNT_ENABLED,
    PASSWORD_CHANGED,
    EXPORTED,
    FEED_MADE,
    FEED_REVOKED,
    TAKEN_IN,
    DEVICE_ADDED,
    DEVICE_REVOKED
  }

  /** Writes an event of somebody who is signed in. */
  public void note(Event event, long clubId, long accountId, String words) {
    write(event, "club=" + clubId + " account=" + accountId, words);
  }

  /** Writes an event of a stranger. */
  public void note(Event event, String words) {
    write(event, "club=- account=-", words);
  }

  private static void write(Event event, String who, String words) {
    LOG.info("{} {} address={} {}", event, who, address(), plain(words));
  }

  private static String address() {
    return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes
        ? plain(attributes.getRequest().getRemoteAddr()) : "-";
  }

  /** One line, whatever somebody typed. */
  static String plain(String words) {
    String line = words.codePoints().map(sign -> Character.isISOControl(sign) || Character.getType(sign) == Character.LINE_SEPARATOR
        || Character.getType(sign) == Character.PARAGRAPH_SEPARATOR || Character.getType(sign) == Character.FORMAT ? '?' : sign)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append).toString();
    return line.substring(0, Math.min(MOST_CHARACTERS, line.length()));
  }
}
