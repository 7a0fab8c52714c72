package org.yarbel.web.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.core.env.StandardEnvironment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.YarbelProperties;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Raw;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** What no browser of a person sends. */
@ExtendWith(TestApp.class)
class EdgeTest {
  private static final Duration AT_ONCE = Duration.ofSeconds(10);

  @ParameterizedTest
  @ValueSource(strings = {"1e-10000000", "1e10000000", "-1e-999999999", "1e-1000000", "0.1e2147483647"})
  void aNumberWithAHugeExponentIsRefusedBeforeAnythingIsComputed(String number) {
    Client client = new Client(TestApp.running());
    long began = System.nanoTime();
    assertThat(client.postJson("/api/v1/plates", "{\"unit\":\"kg\",\"target\":" + number + "}").statusCode()).isIn(400, 422);
    assertThat(client.postJson("/api/v1/track", "{\"unit\":\"kg\",\"observations\":["
        + String.join(",", Collections.nCopies(20, "{\"date\":\"2026-03-02\",\"load\":" + number + ",\"reps\":3}")) + "]}")
        .statusCode()).isIn(400, 422);
    assertThat(client.get("/api/v1/estimate?load=" + number + "&reps=5&unit=kg").statusCode()).isEqualTo(400);
    assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(AT_ONCE);
  }

  @Test
  void aLongNumberIsRefusedInEveryForm(TestApp app) {
    Client coach = Client.signIn(app, "coach");
    String digits = "9".repeat(60_000);
    long began = System.nanoTime();
    assertThat(coach.post("/checks", Map.of("ramp-step", digits, "deload-weeks", "1e-10000000")).statusCode()).isEqualTo(422);
    assertThat(coach.post("/lifters/" + app.lifter("Maren") + "/week/line", Map.of("lift", "Squat", "work", digits + "kg 5x5"))
        .statusCode()).isEqualTo(200);
    assertThat(coach.get("/workbench?tool=plates&target=1e-10000000").statusCode()).isLessThan(500);
    assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(AT_ONCE);
  }

  @ParameterizedTest
  @ValueSource(strings = {"/kit/%s", "/lifts", "/lifters/%s", "/lifters/%s/sheet", "/lifters/%s/week", "/lifters/%s/weeks",
      "/lifters/%s/runway", "/contests", "/account"})
  void noAddressPutsWordsOrLinksIntoAPage(String path) {
    TestApp app = TestApp.running();
    String id = path.startsWith("/kit") ? app.hall() : Long.toString(app.lifter("Maren"));
    HttpResponse<String> page = Client.signIn(app, "coach").get(path.formatted(id)
        + "?said=Ring+this+number&message=Ring+this+number&boardSaid=Ring+this+number&wrong=Ring+this+number&undo=..%2F..%2Fetc%2Fpasswd");
    assertThat(page.statusCode()).isEqualTo(200);
    assertThat(page.body()).doesNotContain("Ring this number", "etc/passwd").contains("</html>");
  }

  @ParameterizedTest
  @ValueSource(strings = {"SESSION=", "SESSION=%00", "SESSION=AA==", "SESSION=AAAA", "SESSION=\u0000",
      "SESSION=!!!;SESSION=AAECAw==", "SESSION=' or 1=1", "token=%00", "device=%00; wanted=%ff"})
  void aCookieThatWasNeverOursIsNone(String cookie) {
    for (String path : List.of("/login", "/css/yarbel.css", "/", "/nowhere")) {
      assertThat(Raw.of(TestApp.running()).get(path, "Cookie: " + cookie).status()).as(path).isIn(200, 302, 400, 404);
    }
  }

  @Test
  void signsThatNobodyTypesAreDropped(TestApp app) {
    Someone someone = Someone.called(app, "Plain Text", Map.of());
    assertThat(someone.coach().post(someone.at("/days/2026-03-02/slots"), Map.of("kind", "MAIN", "lift", "Squ\0at", "work",
        "5x\0005 100kg")).statusCode())
        .isEqualTo(200);
    assertThat(someone.on(TestApp.TODAY)).containsExactly("squat 5x5 100kg");
    assertThat(PlainText.of("a\0b\ud800c\udc00d\ud83d\ude00")).isEqualTo("abcd\ud83d\ude00");
  }

  @ParameterizedTest
  @ValueSource(strings = {"/%00", "/lifters/%00/week", "/..%2f..%2fetc/passwd", "/;x=1/", "//login", "/login%0d%0aSet-Cookie:x=y",
      "/%c0%ae%c0%ae/", "/%"})
  void anOddPathIsRefusedOnOurPage(String path) {
    Raw.Answer answer = Raw.of(TestApp.running()).get(path);
    assertThat(answer.status()).isIn(302, 400, 404);
    assertThat(answer.body()).doesNotContain("Exception", "at org.", "Tomcat");
  }

  @ParameterizedTest
  @ValueSource(strings = {"//elsewhere.example", "/\t/elsewhere.example", "/\n/elsewhere.example", "/\\elsewhere.example",
      "https://elsewhere.example", "javascript:alert(1)",
      "/%0a\u0000", "", "lifters", "/\u2028/x"})
  void nobodyIsSentElsewhere(String wanted) {
    assertThat(Back.to(wanted)).isEqualTo("/");
  }

  @ParameterizedTest
  @ValueSource(strings = {"/", "/lifters/1200/week?of=2026-03-02", "/find?q=a%20b", "/lifters/1/runway"})
  void ourPagesAreGoneBackTo(String wanted) {
    assertThat(Back.to(wanted)).isEqualTo(wanted);
  }

  @ParameterizedTest
  @ValueSource(strings = {"a\r\nSet-Cookie: x=y", "${7*7}", "{slot}", "{}", "%0d%0aSet-Cookie:x"})
  void nothingOfAnAddressGoesIntoTheNextOneUnseen(String set, TestApp app) {
    String card = "/sessions/" + app.session("Maren", TestApp.TODAY);
    HttpResponse<String> answer = Client.signIn(app, "coach").post(card + "/issue", Map.of("set", set));
    assertThat(answer.statusCode()).isEqualTo(302);
    assertThat(answer.headers().firstValue("Location").orElseThrow()).endsWith(card + "/card");
  }

  @Test
  void everyAnswerSaysWhatBrowsersMayDoWithIt(TestApp app) {
    for (String path : List.of("/login", "/api/v1/chart?curve=house", "/api/v1/nothing", "/css/yarbel.css", "/nowhere", "/health")) {
      Raw.Answer answer = Raw.from(app, "127.0.0.41").get(path);
      assertThat(answer.header("Content-Security-Policy")).as(path).startsWith("default-src 'none'");
      assertThat(answer.header("X-Content-Type-Options")).as(path).isEqualTo("nosniff");
      assertThat(answer.header("Referrer-Policy")).as(path).isEqualTo("same-origin");
      assertThat(answer.header("Permissions-Policy")).as(path).contains("camera=()");
      assertThat(answer.header("Cross-Origin-Opener-Policy")).as(path).isEqualTo("same-origin");
      assertThat(answer.header("X-Frame-Options")).as(path).isEqualTo("DENY");
    }
  }

  /** What hangs at the wall: the address where others reach it, and whether phones are to trust the house first. */
  @Test
  void theSignSaysWhatAPhoneHasToDo() {
    YarbelProperties house = new YarbelProperties(false, null, null, URI.create("https://192.168.1.20:8443"), null, null, null);
    Address address = new Address(house, new StandardEnvironment());
    HouseSign own = new HouseSign(address, new ListenProperties(true, null, Path.of("root.pem")));
    assertThat(own.sign().orElseThrow()).satisfies(sign -> {
      assertThat(sign.address()).isEqualTo("https://192.168.1.20:8443");
      assertThat(sign.own()).isTrue();
      assertThat(sign.qr()).isEqualTo(QrCode.of("https://192.168.1.20:8443"));
    });
    assertThat(new HouseSign(address, new ListenProperties(true, null, null)).sign().orElseThrow().own()).as("a certificate all know").isFalse();
    YarbelProperties here = new YarbelProperties(false, null, null, URI.create("https://localhost:8443"), null, null, null);
    assertThat(new HouseSign(new Address(here, new StandardEnvironment()), new ListenProperties(true, null, null)).sign())
        .as("this machine alone").isEmpty();
  }

  @Test
  void theBaseAddressDecidesAndNoHeader() {
    YarbelProperties house = new YarbelProperties(false, null, null, URI.create("https://club.example/"), List.of("10.0.0.2"), null, null);
    Address address = new Address(house, new StandardEnvironment());
    assertThat(address.base()).isEqualTo("https://club.example");
    assertThat(address.secure()).isTrue();
    assertThatThrownBy(() -> new Address(new YarbelProperties(false, null, null, URI.create("club.example"), null, null, null),
        new StandardEnvironment()))
        .hasMessage("The base address must look like https://club.example but was club.example");
    assertThatThrownBy(() -> new Address(new YarbelProperties(false, null, null, null, List.of(".*"), null, null),
        new StandardEnvironment()))
        .hasMessageContaining("but was .*");
  }

  @Test
  void theFeedsAddressIsTheConfiguredOne(TestApp app) {
    Client maren = Client.signIn(app, "maren");
    String path = "/lifters/" + app.lifter("Maren") + "/calendar";
    maren.get(path);
    maren.post(path, Map.of(), "X-Forwarded-Host", "elsewhere.example", "X-Forwarded-Proto", "https");
    assertThat(maren.get(path).body()).contains("http://127.0.0.1:" + app.url("").replaceFirst(".*:", "") + "/feeds/")
        .doesNotContain("elsewhere.example");
    for (int i = 0; i < 12; i++) {
      maren.get(path);
      maren.post(path, Map.of());
    }
    assertThat(maren.get(path).body()).contains("Ten addresses were made today");
  }

  @Test
  void whileBodiesDripOthersAreServed(TestApp app) throws Exception {
    int slow = 20;
    CountDownLatch through = new CountDownLatch(slow);
    for (int i = 0; i < slow; i++) {
      Thread thread = new Thread(() -> {
        Raw.from(app, "127.0.0.42").patient(Duration.ofSeconds(5)).send("POST", "/login", out -> {
          for (int byteNo = 0; byteNo < 20; byteNo++) {
            out.write('a');
            out.flush();
            LockSupport.parkNanos(100_000_000);
          }
        }, "Content-Type: application/x-www-form-urlencoded", "Content-Length: 200000");
        through.countDown();
      });
      thread.setDaemon(true);
      thread.start();
    }
    assertThat(Raw.of(app).patient(AT_ONCE).get("/login").status()).isEqualTo(200);
    assertThat(through.await(1, TimeUnit.MINUTES)).isTrue();
  }

  @Test
  void withoutRoomOnTheDiskSetsAloneAreWritten(TestApp app) {
    DiskWatch disk = app.bean(DiskWatch.class);
    Someone someone = Someone.called(app, "Little Room", Map.of("squat", "150"));
    someone.add(TestApp.TODAY, "MAIN", "squat", "3x5 100kg");
    long slot = someone.slot(TestApp.TODAY, "squat");
    long session = app.jdbc().sql("select session_id from slot where id = :id").param("id", slot).query(Long.class).single();
    try {
      disk.found(400L << 20);
      assertThat(someone.coach().get("/lifts").body()).contains("The disk with the records has only 400 MB free. Make room soon");
      assertThat(Client.signIn(app, "maren").get("/me").body()).as("told to those who can do something").doesNotContain("MB free");
      disk.found(40L << 20);
      assertThat(someone.coach().get("/lifts").body()).contains("Only sets that were lifted are written down");
      HttpResponse<String> refused = someone.coach()
          .post(someone.at("/days/2026-03-04/slots"), Map.of("kind", "MAIN", "lift", "Squat", "work", "5x5 100kg"));
      assertThat(refused.statusCode()).isEqualTo(507);
      assertThat(refused.body()).contains("No room on the disk").contains("Nothing was changed.");
      assertThat(someone.coach().post("/sessions/" + session + "/sets", Map.of("key", UUID.randomUUID().toString(), "slot",
          app.line(slot), "part", "1", "set", "1",
          "issue", "1", "seen", "-1", "load", "100", "reps", "5", "outcome", "done")).statusCode()).isLessThan(400);
      assertThat(app.jdbc().sql("select count(*) from logged_set where session_id = :s").param("s", session).query(Integer.class)
          .single()).isEqualTo(1);
    } finally {
      disk.found(Long.MAX_VALUE);
    }
    assertThat(someone.on(TestApp.TODAY.plusDays(2))).isEmpty();
  }

  @Test
  void aTableThatIsLockedIsAWordWithinSeconds(TestApp app) {
    Client coach = Client.signIn(app, "coach");
    TransactionTemplate transaction = new TransactionTemplate(new JdbcTransactionManager(app.owner()));
    transaction.executeWithoutResult(status -> {
      JdbcClient.create(Objects.requireNonNull(((JdbcTransactionManager) transaction.getTransactionManager()).getDataSource()))
          .sql("lock table contest in access exclusive mode").update();
      long began = System.nanoTime();
      HttpResponse<String> answer = coach.get("/contests");
      assertThat(answer.statusCode()).isEqualTo(503);
      assertThat(answer.headers().firstValue("Retry-After")).contains("5");
      assertThat(answer.body()).contains("The records cannot be reached").contains("Nothing is lost");
      assertThat(Duration.ofNanos(System.nanoTime() - began)).as("90 s, before").isLessThan(Duration.ofSeconds(20));
    });
    assertThat(coach.get("/contests").statusCode()).isEqualTo(200);
  }
}
