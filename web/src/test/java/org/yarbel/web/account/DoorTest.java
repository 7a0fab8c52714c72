package org.yarbel.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Raw;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;
import org.yarbel.web.who.Role;

/** The door, pushed at as hard as a small machine can: every burst is bounded in number and time. */
@ExtendWith(TestApp.class)
class DoorTest {
  /** An address of this machine that no other test uses, so that its tries are its own. */
  private static final AtomicInteger NEXT = new AtomicInteger();

  private static String address() {
    return "127.0.2." + NEXT.incrementAndGet();
  }

  private static Raw.Answer signIn(TestApp app, String from, String email, String password, String... cookies) {
    Raw.Answer form = Raw.from(app, from).get("/login");
    String token = form.header("Set-Cookie").replaceFirst(";.*", "");
    Matcher field = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"").matcher(form.body());
    assertThat(field.find()).as("the form has its token").isTrue();
    byte[] body = ("_csrf=" + encode(field.group(1)) + "&email=" + encode(email) + "&password=" + encode(password))
        .getBytes(StandardCharsets.UTF_8);
    String all = Stream.concat(Stream.of(token), Arrays.stream(cookies)).collect(Collectors.joining("; "));
    return Raw.from(app, from).send("POST", "/login", out -> out.write(body), "Content-Type: application/x-www-form-urlencoded",
        "Cookie: " + all, "Content-Length: " + body.length);
  }

  private static String encode(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  /** Makes an account of the demo's club; answers its id. */
  private static long account(TestApp app, String email) {
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    app.bean(Accounts.class).add(club, email, "tarnbrook-demo", "Door Tester", Role.COACH, null);
    return app.bean(Accounts.class).of(email).get(0).accountId();
  }

  private static int tries(TestApp app, String email) {
    return app.jdbc().sql("select count(*) from sign_in_try where email_key = :key").param("key", Accounts.key(email))
        .query(Integer.class).single();
  }

  @Test
  void guessingIsSlowedDown(TestApp app) {
    String from = address();
    for (int i = 0; i < 10; i++) {
      Raw.Answer wrong = signIn(app, from, "guessed@tarnbrook.example", "wrong " + i);
      assertThat(wrong.status()).isEqualTo(401);
      assertThat(wrong.body()).contains("do not belong together").contains("guessed@tarnbrook.example").doesNotContain("wrong " + i);
    }
    Raw.Answer eleventh = signIn(app, from, "guessed@tarnbrook.example", "wrong again");
    assertThat(eleventh.status()).isEqualTo(429);
    assertThat(eleventh.header("Retry-After")).isEqualTo("900");
    assertThat(eleventh.body()).contains("Too many attempts").contains("guessed@tarnbrook.example");
  }

  @Test
  void blanksBeforeAnAddressGiveNoFreshTries(TestApp app) {
    String from = address();
    for (int i = 0; i < 10; i++) {
      signIn(app, from, " ".repeat(150 + i) + "blanks@tarnbrook.example", "wrong");
    }
    assertThat(signIn(app, from, " ".repeat(178) + "Blanks@tarnbrook.example", "wrong").status()).isEqualTo(429);
    assertThat(tries(app, "blanks@tarnbrook.example")).as("knocking on fills no table and prolongs nothing").isEqualTo(10);
  }

  @Test
  void triesAtTheSameMomentCountEachOther(TestApp app) throws Exception {
    String from = address();
    List<Integer> statuses = atOnce(30, i -> signIn(app, from, "parallel@tarnbrook.example", "wrong " + i).status());
    assertThat(statuses.stream().filter(status -> status == 401).count()).as("guesses that were judged").isLessThanOrEqualTo(10);
    assertThat(statuses).allMatch(status -> status == 401 || status == 429);
  }

  @Test
  void tenWrongGuessesElsewhereDoNotLockTheOwnerOut(TestApp app) {
    account(app, "owner@tarnbrook.example");
    String stranger = address();
    for (int i = 0; i < 11; i++) {
      signIn(app, stranger, "owner@tarnbrook.example", "wrong");
    }
    assertThat(signIn(app, stranger, "owner@tarnbrook.example", "tarnbrook-demo").status())
        .as("the stranger, even with the right one").isEqualTo(429);
    assertThat(signIn(app, address(), "owner@tarnbrook.example", "tarnbrook-demo").status()).as("the owner elsewhere").isEqualTo(302);
  }

  @Test
  void anAccountTriedFromEverywhereIsOpenToItsOwnDevicesOnly(TestApp app) {
    account(app, "besieged@tarnbrook.example");
    Raw.Answer before = signIn(app, address(), "besieged@tarnbrook.example", "tarnbrook-demo");
    String device = before.head().lines().filter(line -> line.startsWith("Set-Cookie: device=")).findFirst().orElseThrow()
        .replaceFirst("Set-Cookie: ", "").replaceFirst(";.*", "");
    for (int i = 0; i < SignInLimits.TRIES_OF_ACCOUNT; i++) {
      app.jdbc().sql("insert into sign_in_try (email_key, address, known, at) values ('besieged@tarnbrook.example', :address, "
          + "false, now())")
          .param("address", "198.51.100." + i).update();
    }
    assertThat(signIn(app, address(), "besieged@tarnbrook.example", "tarnbrook-demo").status()).as("a new device").isEqualTo(429);
    assertThat(signIn(app, address(), "besieged@tarnbrook.example", "tarnbrook-demo", device).status()).as("a known one").isEqualTo(302);
  }

  @Test
  void aBurstOfSignInsLeavesTheHouseOpen(TestApp app) throws Exception {
    List<String> addresses = IntStream.range(0, 80).mapToObj(i -> address()).toList();
    long began = System.nanoTime();
    Thread looking = new Thread(() -> {
      for (int i = 0; i < 10; i++) {
        assertThat(Raw.of(app).patient(Duration.ofSeconds(20)).get("/login").status()).isEqualTo(200);
      }
    });
    looking.start();
    List<Integer> statuses = atOnce(80, i -> signIn(app, addresses.get(i), "burst" + i + "@tarnbrook.example", "wrong").status());
    looking.join();
    assertThat(statuses).allMatch(status -> status == 401 || status == 429).contains(401);
    assertThat(app.jdbc().sql("select count(*) from sign_in_try where email_key like 'burst%@tarnbrook.example'").query(Long.class)
        .single())
        .as("tries whose password there was no time for are none").isEqualTo(statuses.stream().filter(status -> status == 401).count());
    assertThat(Duration.ofNanos(System.nanoTime() - began)).as("minutes, before").isLessThan(Duration.ofSeconds(60));
    Client.signIn(app, "coach").get("/");
  }

  @Test
  void aFormWithAPasswordSaysWhenThereIsNoTimeForIt(TestApp app) throws Exception {
    Client coach = Client.signIn(app, "coach");
    PasswordEncoder passwords = app.bean(PasswordEncoder.class);
    AtomicBoolean enough = new AtomicBoolean();
    ExecutorService others = Executors.newFixedThreadPool(Hashing.AT_ONCE + Hashing.WAITING + 4);
    for (int i = 0; i < Hashing.AT_ONCE + Hashing.WAITING + 4; i++) {
      others.execute(() -> {
        while (!enough.get()) {
          try {
            passwords.encode("somebody else's");
          } catch (Hashing.TooBusy turnedAway) {
            LockSupport.parkNanos(1_000_000);
          }
        }
      });
    }
    try {
      HttpResponse<String> answer = coach.post("/account", Map.of("current", "tarnbrook-demo", "password", "short"));
      for (int tries = 0; tries < 9 && answer.statusCode() == 422; tries++) {
        answer = coach.post("/account", Map.of("current", "tarnbrook-demo", "password", "short"));
      }
      assertThat(answer.statusCode()).isEqualTo(503);
      assertThat(answer.headers().firstValue("Retry-After")).contains("5");
      assertThat(answer.body()).contains("Too much at once").contains("what you typed is still in the page");
    } finally {
      enough.set(true);
      others.shutdown();
      // who still waits would turn the next sign-in away
      assertThat(others.awaitTermination(1, TimeUnit.MINUTES)).isTrue();
    }
    assertThat(others.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void theFirstVisitHappensOnce(TestApp app) throws Exception {
    Owner owner = app.bean(Owner.class);
    List<Long> clubs = IntStream.range(0, 6).mapToObj(i -> owner.newClubId()).toList();
    List<Integer> made = atOnce(6, i -> {
      try {
        owner.begin(clubs.get(i), new Owner.Beginning("First", ZoneOffset.UTC, PlaceKit.of(Kit.standard(MassUnit.KG)), "Somebody",
            "first" + i + "@tarnbrook.example", "tarnbrook-demo"));
        return 1;
      } catch (DuplicateKeyException somebodyWasFirst) {
        return 0;
      }
    });
    assertThat(made.stream().mapToInt(Integer::intValue).sum()).isEqualTo(1);
    assertThat(app.jdbc().sql("select count(*) from account a join person p on p.id = a.person_id where email like 'first%@tarnbrook.example'").query(Integer.class)
        .single()).isEqualTo(1);
    for (String table : List.of("account", "place")) {
      app.jdbc().sql("delete from " + table + " where club_id in (:clubs)").param("clubs", clubs).update();
    }
    app.jdbc().sql("delete from club where id in (:clubs)").param("clubs", clubs).update();
    app.jdbc().sql("delete from first_visit").update();
  }

  @Test
  void strangersMakeNoSessions(TestApp app) {
    int before = app.jdbc().sql("select count(*) from spring_session").query(Integer.class).single();
    for (String path : List.of("/", "/login", "/login?out", "/me", "/lifters/1/week", "/nowhere", "/setup", "/account",
        "/css/yarbel.css", "/api/v1/chart?curve=house")) {
      Raw.of(app).get(path);
    }
    signIn(app, address(), "nobody@tarnbrook.example", "wrong");
    assertThat(app.jdbc().sql("select count(*) from spring_session").query(Integer.class).single()).isEqualTo(before);
  }

  @Test
  void whoWasSentToTheFormComesBackToThePageWanted(TestApp app) {
    Raw.Answer sent = Raw.of(app).get("/kit?of=1");
    assertThat(sent.header("Location")).isEqualTo("/login");
    String wanted = sent.header("Set-Cookie").replaceFirst(";.*", "");
    assertThat(signIn(app, address(), "coach@tarnbrook.example", "tarnbrook-demo", wanted).header("Location")).isEqualTo("/kit?of=1");
    for (String script : List.of("/token", "/sessions/1/card/kept")) {
      assertThat(Raw.of(app).get(script).header("Set-Cookie")).as(script + " is no page to go back to").doesNotContain("wanted=");
    }
    String elsewhere = "wanted=" + Base64.getUrlEncoder().withoutPadding()
        .encodeToString("//elsewhere.example".getBytes(StandardCharsets.UTF_8));
    assertThat(signIn(app, address(), "coach@tarnbrook.example", "tarnbrook-demo", elsewhere).header("Location")).isEqualTo("/");
    assertThat(signIn(app, address(), "coach@tarnbrook.example", "tarnbrook-demo", "wanted=%00;%ff").header("Location")).isEqualTo("/");
  }

  @Test
  void aLongAddressIsRefusedLikeAnyOther(TestApp app) {
    for (int length : new int[] {100, 150, 200, 254, 300, 5000}) {
      assertThat(signIn(app, address(), "a".repeat(length) + "@tarnbrook.example", "wrong").status()).as("%s", length).isEqualTo(401);
    }
    account(app, "l".repeat(180) + "@tarnbrook.example");
    assertThat(signIn(app, address(), "l".repeat(180) + "@tarnbrook.example", "tarnbrook-demo").status()).isEqualTo(302);
  }

  @Test
  void aSessionEndsWithTheRightsItBeganWith(TestApp app) {
    long lifter = Someone.called(app, "Was A Coach", Map.of()).id();
    for (String change : List.of("update account set role = 'LIFTER', lifter_id = " + lifter + " where id = :id",
        "update account set disabled = true where id = :id", "delete from account where id = :id",
        "delete from sign_in where account_id = :id", "update sign_in set begun = now() - interval '91 days' where account_id = :id")) {
      long id = account(app, "standing@tarnbrook.example");
      Client coach = Client.signIn(app, "standing");
      assertThat(coach.get("/lifts").statusCode()).isEqualTo(200);
      app.jdbc().sql(change).param("id", id).update();
      assertThat(coach.get("/lifts").statusCode()).as(change).isEqualTo(302);
      assertThat(coach.post("/lifts", Map.of("name", "Mine")).statusCode()).as(change).isNotEqualTo(200);
      app.jdbc().sql("delete from account where id = :id").param("id", id).update();
    }
  }

  @Test
  void devicesAreListedAndSignedOut(TestApp app) {
    long id = account(app, "devices@tarnbrook.example");
    Client here = Client.signIn(app, "devices");
    Client lost = Client.signIn(app, "devices");
    assertThat(here.get("/account").body()).contains("(here)").contains(">Sign out</button>").contains("Sign out everywhere else");
    List<Long> rows = app.jdbc().sql("select id from sign_in where account_id = :id order by id").param("id", id).query(Long.class).list();
    assertThat(rows).hasSize(2);
    assertThat(Client.signIn(app, "maren").post("/account/devices/" + rows.get(1), Map.of()).statusCode()).as("another's").isEqualTo(404);
    assertThat(lost.get("/lifts").statusCode()).isEqualTo(200);
    here.get("/account");
    assertThat(here.post("/account/devices/" + rows.get(1), Map.of()).statusCode()).isEqualTo(302);
    assertThat(lost.get("/lifts").statusCode()).isEqualTo(302);
    assertThat(here.get("/lifts").statusCode()).isEqualTo(200);
  }

  @Test
  void aSignInSwitchedOffEndsAtOnceAndCanBeSwitchedOnAgain(TestApp app) {
    Someone someone = Someone.called(app, "Switched Off", Map.of());
    someone.coach().get(someone.at(""));
    String account = "/people/accounts/" + someone.signsIn("switched@tarnbrook.example", "granite lantern kayak") + "/disabled";
    String from = address();
    assertThat(signIn(app, from, "switched@tarnbrook.example", "granite lantern kayak").status()).isEqualTo(302);
    someone.coach().get(someone.at(""));
    someone.coach().post(account, Map.of("disabled", "true"));
    assertThat(someone.coach().get(someone.at("")).body()).contains("Switched off:");
    Raw.Answer right = signIn(app, from, "switched@tarnbrook.example", "granite lantern kayak");
    assertThat(right.status()).isEqualTo(401);
    assertThat(right.body()).contains("This sign-in is switched off. Ask your coach");
    assertThat(signIn(app, from, "switched@tarnbrook.example", "granite lantern canoe").body()).as("only who has the password is told")
        .contains("do not belong together").doesNotContain("switched off");
    assertThat(app.jdbc().sql("select count(*) from sign_in s join account a on a.id = s.account_id join person p on p.id = a.person_id where p.email = "
        + "'switched@tarnbrook.example'")
        .query(Integer.class).single()).isZero();
    someone.coach().post(account, Map.of("disabled", "false"));
    assertThat(signIn(app, from, "switched@tarnbrook.example", "granite lantern kayak").status()).isEqualTo(302);
  }

  @Test
  void nobodyIsToldThatAnotherClubKnowsAnAddress(TestApp app) {
    Someone someone = Someone.called(app, "Two Clubs", Map.of());
    app.bean(Owner.class).create(app.bean(Owner.class).newClubId(), new Owner.Beginning("Further Off", ZoneOffset.UTC,
        PlaceKit.of(Kit.standard(MassUnit.KG)), "Two Clubs", "two@clubs.example", "velvet-harbour-nine"));
    someone.signsIn("two@clubs.example", "granite lantern kayak");
    // each password opens its own club
    assertThat(signIn(app, address(), "two@clubs.example", "velvet-harbour-nine").status()).isEqualTo(302);
    assertThat(signIn(app, address(), "two@clubs.example", "granite lantern kayak").status()).isEqualTo(302);
    assertThat(signIn(app, address(), "two@clubs.example", "neither of the two").status()).isEqualTo(401);
  }

  /** A coach with two tabs, or a phone that sends what waited: what each answer keeps for the page after it must not stand in the way. */
  @Test
  void pressesAtOnceInOneSessionAreAllAnswered(TestApp app) throws Exception {
    Someone lifter = Someone.called(app, "Two Tabs", Map.of());
    Client coach = lifter.coach();
    for (int round = 0; round < 3; round++) {
      coach.get(lifter.at("/calendar"));
      assertThat(atOnce(12, i -> coach.post(lifter.at("/calendar/revoke"), Map.of()).statusCode())).containsOnly(302);
    }
  }

  private static List<Integer> atOnce(int count, IntFunction<Integer> work) throws Exception {
    ExecutorService threads = Executors.newFixedThreadPool(count);
    try {
      CountDownLatch ready = new CountDownLatch(count);
      List<Future<Integer>> all = IntStream.range(0, count).mapToObj(i -> threads.submit(() -> {
        ready.countDown();
        ready.await();
        return work.apply(i);
      })).toList();
      List<Integer> answers = new ArrayList<>();
      for (Future<Integer> one : all) {
        answers.add(one.get(2, TimeUnit.MINUTES));
      }
      return answers;
    } finally {
      threads.shutdownNow();
    }
  }
}
