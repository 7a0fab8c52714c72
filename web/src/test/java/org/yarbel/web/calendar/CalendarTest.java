package org.yarbel.web.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** Calendars by RFC 5545, read back by the library's own parser and held against the RFC's rules for lines. */
@ExtendWith(TestApp.class)
class CalendarTest {
  private static final Pattern ADDRESS = Pattern.compile("http://[^\"]+(/feeds/[A-Za-z0-9_-]{43}\\.ics)");

  @Test
  void tellsSessionsContestsAndWeighIns(TestApp app) throws Exception {
    String text = Client.of(app, "coach").get("/lifters/" + app.lifter("Maren") + "/calendar.ics").body();
    Calendar calendar = new CalendarBuilder().build(new StringReader(text));
    calendar.validate();
    List<String> titles = calendar.<VEvent>getComponents(Component.VEVENT).stream()
        .map(event -> event.getRequiredProperty(Property.DTSTART).getValue() + " "
        + event.getRequiredProperty(Property.SUMMARY).getValue()).toList();
    LocalDate contest = TestApp.TODAY.plusWeeks(5).plusDays(5);
    assertThat(titles).contains(contest.toString().replace("-", "") + " Lowmoor Open", contest.minusDays(1).toString()
        .replace("-", "") + " Weigh-in, Lowmoor Open");
    assertThat(titles).anyMatch(title -> title.startsWith(TestApp.TODAY.toString().replace("-", "") + " Squat"));
    assertThat(calendar.<VEvent>getComponents(Component.VEVENT))
        .extracting(event -> event.getRequiredProperty(Property.UID).getValue()).doesNotHaveDuplicates();
  }

  /** RFC 5545, 3.1: lines end in CRLF and have 75 octets at most; 3.6: VERSION and PRODID once; 3.6.1: DTSTAMP and UID in every event. */
  @Test
  void keepsToTheRfc(TestApp app) {
    String text = Client.of(app, "coach").get("/lifters/" + app.lifter("Emeric") + "/calendar.ics").body();
    assertThat(text).startsWith("BEGIN:VCALENDAR\r\n").endsWith("END:VCALENDAR\r\n");
    assertThat(text.replace("\r\n", "")).doesNotContain("\n").doesNotContain("\r");
    assertThat(Arrays.asList(text.split("\r\n"))).allSatisfy(line -> assertThat(line.getBytes(StandardCharsets.UTF_8).length)
        .isLessThanOrEqualTo(75));
    assertThat(text.split("VERSION:2.0", -1)).hasSize(2);
    int events = text.split("BEGIN:VEVENT", -1).length - 1;
    assertThat(events).as("the whole long plan, written or not").isGreaterThan(30);
    assertThat(text.split("\r\nDTSTAMP:", -1)).hasSize(events + 1);
    assertThat(text.split("\r\nUID:", -1)).hasSize(events + 1);
  }

  @Test
  void aPrivateAddressNeedsNoSignInAndCanBeRevoked(TestApp app) {
    Someone someone = Someone.called(app, "Sorrel Almanac", Map.of("squat", "120"));
    someone.add(TestApp.TODAY.plusDays(1), "MAIN", "squat", "5x5 70%");
    Matcher found = ADDRESS.matcher(someone.post(someone.at("/calendar"), Map.of()).body());
    assertThat(found.find()).isTrue();
    String path = found.group(1);
    HttpResponse<String> feed = new Client(app).get(path);
    assertThat(feed.statusCode()).isEqualTo(200);
    assertThat(feed.body()).contains("Squat 5x5 70%");
    assertThat(feed.headers().firstValue("Content-Type")).hasValue("text/calendar;charset=UTF-8");
    assertThat(app.jdbc().sql("select count(*) from calendar_feed where token_hash = :t").param("t", path.substring(7, 50))
        .query(Long.class).single())
        .as("only its hash is kept").isZero();
    assertThat(someone.coach().get(someone.at("/calendar")).body()).as("shown once").doesNotContain(path)
        .contains("An address is in force since");
    someone.post(someone.at("/calendar"), Map.of());
    assertThat(new Client(app).get(path).statusCode()).as("another takes its place").isEqualTo(404);
    Matcher second = ADDRESS.matcher(someone.post(someone.at("/calendar"), Map.of()).body());
    assertThat(second.find()).isTrue();
    assertThat(someone.post(someone.at("/calendar/revoke"), Map.of()).body()).contains("The address is revoked");
    assertThat(new Client(app).get(second.group(1)).statusCode()).isEqualTo(404);
    assertThat(new Client(app).get("/feeds/nothing.ics").statusCode()).isEqualTo(404);
  }

  @Test
  void aLifterHasTheirOwnAndNobodyElses(TestApp app) {
    Client maren = Client.of(app, "maren");
    assertThat(maren.get("/lifters/" + app.lifter("Maren") + "/calendar").body()).contains("Private address").doesNotContain("Week board");
    assertThat(maren.get("/lifters/" + app.lifter("Maren") + "/calendar.ics").statusCode()).isEqualTo(200);
    assertThat(maren.get("/lifters/" + app.lifter("Emeric") + "/calendar.ics").statusCode()).isEqualTo(404);
    assertThat(maren.post("/lifters/" + app.lifter("Emeric") + "/calendar", Map.of()).statusCode()).isEqualTo(404);
  }
}
