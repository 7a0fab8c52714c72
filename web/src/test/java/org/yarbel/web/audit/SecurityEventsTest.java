package org.yarbel.web.audit;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.slf4j.LoggerFactory;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** What happens to the locks stands on record, and nothing secret with it. */
@ExtendWith(TestApp.class)
class SecurityEventsTest {
  private final Logger log = (Logger) LoggerFactory.getLogger(SecurityLog.NAME);
  private final ListAppender<ILoggingEvent> lines = new ListAppender<>();
  private Level before;

  @BeforeEach
  void listen() {
    before = log.getLevel();
    lines.start();
    log.addAppender(lines);
    log.setLevel(Level.INFO);
  }

  @AfterEach
  void listenNoMore() {
    log.detachAppender(lines);
    log.setLevel(before);
  }

  private List<String> written() {
    return lines.list.stream().map(ILoggingEvent::getFormattedMessage).toList();
  }

  @Test
  void everyEventIsALineWithWhoAndWhereFrom(TestApp app) {
    Someone someone = Someone.called(app, "On Record", Map.of());
    Client coach = someone.coach();
    coach.get(someone.at(""));
    String account = "/people/accounts/" + someone.signsIn("record@tarnbrook.example", "granite lantern kayak");
    coach.post(account + "/disabled", Map.of("disabled", "true"));
    coach.post(account + "/disabled", Map.of("disabled", "false"));
    coach.get(someone.at("/calendar"));
    coach.post(someone.at("/calendar"), Map.of());
    String token = coach.get(someone.at("/calendar")).body().replaceAll("(?s).*/feeds/([\\w-]{43})\\.ics.*", "$1");
    coach.post(someone.at("/calendar/revoke"), Map.of());
    coach.get(someone.at("/calendar.ics"));
    coach.get(someone.at("/runway/workbook.xlsx?from=2026-03-02"));
    Client wrong = new Client(app);
    wrong.get("/login");
    wrong.post("/login", Map.of("email", "record@tarnbrook.example\nSIGNED_IN", "password", "a wrong secret"));
    Client maren = Client.signIn(app, "maren");
    maren.get("/kit");
    maren.get("/me");
    maren.post("/logout", Map.of());
    for (String event : List.of("ACCOUNT_DISABLED", "ACCOUNT_ENABLED", "FEED_MADE", "FEED_REVOKED", "EXPORTED",
        "SIGN_IN_REFUSED", "SIGNED_IN", "ACCESS_DENIED", "SIGNED_OUT")) {
      assertThat(written()).as(event).anySatisfy(line -> assertThat(line).startsWith(event + " club=").contains(" account=")
          .contains(" address=127.0.0.1"));
    }
    assertThat(token).hasSize(43);
    assertThat(written()).allSatisfy(line -> assertThat(line).doesNotContain("granite", "a wrong secret", "tarnbrook-demo", token, "\n"));
  }
}
