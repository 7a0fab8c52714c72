package org.yarbel.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.account.Owner;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Places;
import org.yarbel.web.edge.Secrets;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;
import org.yarbel.web.who.Role;

/** Invitations, roles, forgotten passwords, own lifters, several clubs. Each test has a club of its own. */
@ExtendWith(TestApp.class)
class PeopleTest {
  private static final String PASSWORD = "tarnbrook-demo";
  private static final Pattern LINK = Pattern.compile("value=\"https?://[^/]+(/(?:join|password)/[\\w-]{43})\"");
  private static final AtomicInteger NUMBER = new AtomicInteger();

  private TestApp app;
  private String tag;
  private long club;
  private Client owner;

  @BeforeEach
  void aClubOfItsOwn(TestApp running) {
    app = running;
    app.jdbc().sql("delete from sign_in_try").update();
    tag = "people" + NUMBER.incrementAndGet();
    club = club(tag);
    owner = Client.signIn(app, "owner@" + tag + ".example");
    owner.get("/people");
  }

  private long club(String name) {
    Owner make = app.bean(Owner.class);
    long id = make.newClubId();
    make.create(id, new Owner.Beginning("Club " + name, ZoneOffset.UTC, PlaceKit.of(Kit.standard(MassUnit.KG)), "Owner of " + name,
        "owner@" + name + ".example", PASSWORD));
    return id;
  }

  private long lifter(String name) {
    return app.bean(CurrentClub.class).within(club, () -> app.bean(LifterRepository.class)
        .saveAndFlush(new Lifter(name, MassUnit.KG, app.bean(Places.class).all().get(0).id())).id());
  }

  private long add(String who, Role role) {
    return app.bean(Accounts.class).add(club, who + "@" + tag + ".example", PASSWORD, who, role, null);
  }

  private Client as(String who) {
    return Client.signIn(app, who + "@" + tag + ".example");
  }

  /** Sends a form and reads the page that follows. */
  private static HttpResponse<String> post(Client who, String path, Map<String, String> form) {
    HttpResponse<String> answer = who.post(path, form);
    return answer.statusCode() == 302 ? who.get(answer.headers().firstValue("Location").orElseThrow().replaceFirst("^https?://[^/]+", ""))
        : answer;
  }

  private static String link(HttpResponse<String> page) {
    Matcher found = LINK.matcher(page.body());
    assertThat(found.find()).as(page.body()).isTrue();
    return found.group(1);
  }

  private HttpResponse<String> joins(String link, String email, String password) {
    Client stranger = new Client(app);
    stranger.get(link);
    return stranger.post(link, Map.of("name", "Newcomer", "email", email, "password", password));
  }

  @Test
  void aLifterComesInByALinkOnce() {
    long lifter = lifter("Odile Linked");
    String link = link(post(owner, "/people/invitations", Map.of("role", "LIFTER", "lifter", Long.toString(lifter))));
    assertThat(owner.get("/people").body()).as("it is shown once").doesNotContain(link).contains("Odile Linked");
    assertThat(app.jdbc().sql("select token_hash from entry_link where club_id = :c").param("c", club).query(String.class).list())
        .containsExactly(Secrets.fingerprint(link.substring("/join/".length())));
    assertThat(new Client(app).get(link).body()).contains("Join Club " + tag).contains("the lifter Odile Linked");
    Client phone = new Client(app);
    phone.get(link);
    HttpResponse<String> wrong = phone.post(link, Map.of("email", "nothing", "password", "short"));
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("Write an e-mail address").contains("must have 10 to 200 characters but has 5").contains("value=\"nothing\"");
    assertThat(phone.post(link, Map.of("email", "odile@" + tag + ".example", "password", "granite lantern kayak")).statusCode()).isEqualTo(302);
    assertThat(phone.get("/me").statusCode()).as("signed in by it").isEqualTo(200);
    assertThat(phone.get("/people").statusCode()).isEqualTo(403);
    assertThat(app.jdbc().sql("select name from account where club_id = :c and lifter_id = :l").param("c", club).param("l", lifter)
        .query(String.class).single()).as("the name is the coach's matter").isEqualTo("Odile Linked");
    HttpResponse<String> again = joins(link, "thief@" + tag + ".example", "granite lantern kayak");
    assertThat(again.statusCode()).isEqualTo(410);
    assertThat(again.body()).contains("used already");
    HttpResponse<String> twice = owner.post("/people/invitations", Map.of("role", "LIFTER", "lifter", Long.toString(lifter)));
    assertThat(twice.statusCode()).isEqualTo(422);
    assertThat(twice.body()).contains("Odile Linked signs in already");
  }

  @Test
  void aLateATakenBackAndAReplacedLinkLetNobodyIn() {
    String lifter = Long.toString(lifter("Late Linked"));
    String late = link(post(owner, "/people/invitations", Map.of("role", "LIFTER", "lifter", lifter)));
    app.jdbc().sql("update entry_link set expires_at = now() - interval '1 second' where club_id = :c").param("c", club).update();
    assertThat(new Client(app).get(late).body()).contains("has expired");
    assertThat(joins(late, "late@" + tag + ".example", "granite lantern kayak").statusCode()).isEqualTo(410);
    String first = link(post(owner, "/people/invitations", Map.of("role", "LIFTER", "lifter", lifter)));
    String second = link(post(owner, "/people/invitations", Map.of("role", "LIFTER", "lifter", lifter)));
    assertThat(new Client(app).get(first).body()).as("a new one takes back the one before").contains("was taken back");
    long id = app.jdbc().sql("select max(id) from entry_link where club_id = :c").param("c", club).query(Long.class).single();
    assertThat(post(owner, "/people/invitations/" + id + "/revoke", Map.of()).body()).contains("lets nobody in any more");
    assertThat(new Client(app).get(second).statusCode()).isEqualTo(410);
    assertThat(new Client(app).get("/join/" + "x".repeat(43)).statusCode()).isEqualTo(404);
    assertThat(new Client(app).get("/join/short").statusCode()).isEqualTo(404);
    assertThat(app.jdbc().sql("select count(*) from account where club_id = :c").param("c", club).query(Integer.class).single()).isOne();
  }

  @Test
  void anAssistantLogsAndReadsAndPlansNothing() {
    long lifter = lifter("Planned Linked");
    String link = link(post(owner, "/people/invitations", Map.of("role", "ASSISTANT", "name", "Helping Hand", "email", "help@" + tag
        + ".example")));
    assertThat(joins(link, "help@" + tag + ".example", "granite lantern kayak").statusCode()).isEqualTo(302);
    Client helps = new Client(app);
    helps.get("/login");
    helps.post("/login", Map.of("email", "help@" + tag + ".example", "password", "granite lantern kayak"));
    assertThat(helps.get("/lifters/" + lifter + "/week").statusCode()).isEqualTo(200);
    assertThat(helps.get("/").body()).contains("class=\"reads\"");
    assertThat(helps.post("/lifters/" + lifter + "/days/2026-03-02/slots", Map.of("kind", "MAIN", "lift", "Squat", "work", "3x5 100kg"))
        .statusCode()).isEqualTo(403);
    for (String path : List.of("/people", "/record")) {
      assertThat(helps.get(path).statusCode()).as(path).isEqualTo(403);
    }
    helps.get("/");
    assertThat(helps.post("/lifters/" + lifter + "/weigh-ins", Map.of("bodyMass", "80", "weighedIn", "KG")).statusCode()).isEqualTo(302);
    assertThat(app.jdbc().sql("select count(*) from slot where club_id = :c").param("c", club).query(Integer.class).single()).isZero();
    assertThat(app.jdbc().sql("select count(*) from weigh_in where club_id = :c").param("c", club).query(Integer.class).single()).isOne();
  }

  @Test
  void coachesLetLiftersInAndOwnersEverybody() {
    add("coach", Role.COACH);
    Client coach = as("coach");
    coach.get("/people");
    for (String role : List.of("OWNER", "COACH", "ASSISTANT", "KING")) {
      assertThat(coach.post("/people/invitations", Map.of("role", role, "name", "Friend")).statusCode()).as(role).isEqualTo(403);
    }
    long ownersAccount = app.jdbc().sql("select id from account where club_id = :c and role = 'OWNER'").param("c", club).query(Long.class)
        .single();
    for (String path : List.of("/password", "/disabled", "/sign-out")) {
      assertThat(coach.post("/people/accounts/" + ownersAccount + path, Map.of()).statusCode()).as(path).isEqualTo(403);
    }
    assertThat(coach.post("/people/roles/" + ownersAccount, Map.of("role", "COACH")).statusCode()).isEqualTo(403);
    assertThat(post(owner, "/people/roles/" + ownersAccount, Map.of("role", "COACH")).body()).contains("is the only owner");
    assertThat(post(owner, "/people/accounts/" + ownersAccount + "/disabled", Map.of()).body()).contains("is the only owner");
    assertThat(app.jdbc().sql("select count(*) from entry_link where club_id = :c").param("c", club).query(Integer.class).single()).isZero();
  }

  @Test
  void aChangedRoleHoldsAtOnce() {
    long second = add("second", Role.COACH);
    Client coach = as("second");
    assertThat(coach.get("/people").statusCode()).isEqualTo(200);
    assertThat(post(owner, "/people/roles/" + second, Map.of("role", "ASSISTANT")).body()).contains("second is an assistant now");
    assertThat(coach.get("/people").statusCode()).as("signed out").isEqualTo(302);
    assertThat(as("second").get("/people").statusCode()).isEqualTo(403);
    assertThat(owner.get("/record?event=ROLE_CHANGED").body()).contains("second: from coach to assistant").contains("Owner of " + tag);
  }

  @Test
  void aForgottenPasswordIsChosenAnewByALinkOfTheCoach() {
    long lifter = lifter("Forgetful");
    long account = app.bean(Accounts.class).add(club, "forget@" + tag + ".example", PASSWORD, "Forgetful", Role.LIFTER, lifter);
    Client phone = as("forget");
    assertThat(phone.get("/me").statusCode()).isEqualTo(200);
    String link = link(post(owner, "/people/accounts/" + account + "/password", Map.of()));
    Client chooses = new Client(app);
    assertThat(chooses.get(link).body()).contains("forget@" + tag + ".example");
    assertThat(chooses.post(link, Map.of("password", "short")).body()).contains("must have 10 to 200");
    assertThat(chooses.post(link, Map.of("password", "velvet harbour nine")).statusCode()).isEqualTo(302);
    assertThat(phone.get("/me").statusCode()).as("ended everywhere").isEqualTo(302);
    assertThat(chooses.get(link).statusCode()).isEqualTo(410);
    assertThat(chooses.post(link, Map.of("password", "velvet harbour ten")).statusCode()).isEqualTo(410);
    chooses.get("/login");
    chooses.post("/login", Map.of("email", "forget@" + tag + ".example", "password", "velvet harbour nine"));
    assertThat(chooses.get("/me").statusCode()).isEqualTo(200);
  }

  @Test
  void aLinkAskedForGoesToTheOutboxAndTellsNobodyWhoIsKnown() {
    Client stranger = new Client(app);
    stranger.get("/password");
    String known = post(stranger, "/password", Map.of("email", "owner@" + tag + ".example")).body();
    stranger.get("/password");
    String unknown = post(stranger, "/password", Map.of("email", "nobody@" + tag + ".example")).body();
    assertThat(known.replaceAll("content=\"[^\"]*\"|value=\"[^\"]*\"", "")).isEqualTo(unknown.replaceAll("content=\"[^\"]*\"|value=\"[^\"]*\"", ""));
    String letters = owner.get("/people/letters").body();
    assertThat(letters).contains("to owner@" + tag + ".example").contains("/password/");
    for (int i = 0; i < 5; i++) {
      post(stranger, "/password", Map.of("email", "owner@" + tag + ".example"));
    }
    assertThat(app.jdbc().sql("select count(*) from letter where club_id = :c").param("c", club).query(Integer.class).single())
        .as("at most three an hour").isEqualTo(3);
    add("reader", Role.COACH);
    assertThat(as("reader").get("/people/letters").statusCode()).isEqualTo(403);
  }

  @Test
  void onePersonInTwoClubsSwitchesAndNeitherOwnerOpensTheOther() {
    long other = club(tag + "b");
    Client otherOwner = Client.signIn(app, "owner@" + tag + "b.example");
    otherOwner.get("/people");
    String link = link(post(otherOwner, "/people/invitations", Map.of("role", "COACH", "name", "Guest coach")));
    assertThat(owner.get(link).body()).contains("You are signed in as");
    assertThat(owner.post(link + "/known", Map.of()).statusCode()).isEqualTo(302);
    assertThat(owner.get("/").body()).contains("Club " + tag + "b");
    assertThat(owner.get("/record").statusCode()).as("a coach there").isEqualTo(403);
    String account = owner.get("/account").body();
    assertThat(account).contains("Club " + tag + "</b>").contains("Club " + tag + "b</b>");
    long home = app.jdbc().sql("select id from account where club_id = :c").param("c", club).query(Long.class).single();
    assertThat(owner.post("/account/clubs/" + home, Map.of()).statusCode()).isEqualTo(302);
    assertThat(owner.get("/record").statusCode()).isEqualTo(200);
    long there = app.jdbc().sql("select id from account where club_id = :c and role = 'COACH'").param("c", other).query(Long.class).single();
    String refused = post(otherOwner, "/people/accounts/" + there + "/password", Map.of()).body();
    assertThat(refused).contains("is in another club too").doesNotContain("/password/");
    new Client(app).get("/login");
    Client stranger = new Client(app);
    stranger.get("/password");
    post(stranger, "/password", Map.of("email", "owner@" + tag + ".example"));
    assertThat(app.jdbc().sql("select count(*) from letter where recipient = :to").param("to", "owner@" + tag + ".example")
        .query(Integer.class).single()).as("an owner who reads letters would open the other club").isZero();
    assertThat(otherOwner.post("/account/clubs/" + home, Map.of()).statusCode()).as("somebody else's").isEqualTo(404);
    assertThat(otherOwner.get("/people/accounts/" + home).statusCode()).isEqualTo(404);
  }

  @Test
  void whoSignsInAlreadyJoinsWithTheirPassword() {
    long other = club(tag + "c");
    Client otherOwner = Client.signIn(app, "owner@" + tag + "c.example");
    otherOwner.get("/people");
    String link = link(post(otherOwner, "/people/invitations", Map.of("role", "ASSISTANT", "name", "Both")));
    HttpResponse<String> taken = joins(link, "owner@" + tag + ".example", "granite lantern kayak");
    assertThat(taken.body()).contains("Somebody signs in with this address already");
    Client person = new Client(app);
    person.get(link);
    assertThat(person.post(link + "/known", Map.of("known", "owner@" + tag + ".example", "current", "wrong")).body())
        .contains("do not belong together");
    assertThat(person.post(link + "/known", Map.of("known", "owner@" + tag + ".example", "current", PASSWORD)).statusCode()).isEqualTo(302);
    assertThat(person.get("/").body()).contains("Club " + tag + "c");
    assertThat(app.jdbc().sql("select count(*) from person where email = :e").param("e", "owner@" + tag + ".example").query(Integer.class)
        .single()).isOne();
    String again = link(post(otherOwner, "/people/invitations", Map.of("role", "COACH", "name", "Both")));
    person.get(again);
    assertThat(person.post(again + "/known", Map.of()).body()).contains("You are in this club already");
    assertThat(app.jdbc().sql("select count(*) from account where club_id = :c").param("c", other).query(Integer.class).single()).isEqualTo(2);
  }

  @Test
  void ownLiftersComeFirstAndTheClubsOnDemand() {
    long mine = lifter("Mine Own");
    long theirs = lifter("Theirs Own");
    lifter("Nobodys Own");
    long coach = add("whose", Role.COACH);
    long owners = app.jdbc().sql("select id from account where club_id = :c and role = 'OWNER'").param("c", club).query(Long.class).single();
    assertThat(post(owner, "/people/hand-over", Map.of("lifter", Long.toString(mine), "to", Long.toString(coach))).body())
        .contains("1 lifter handed over to whose").contains("Hand them");
    owner.post("/people/hand-over", Map.of("lifter", Long.toString(theirs), "to", Long.toString(owners)));
    Client sees = as("whose");
    assertThat(sees.get("/").body()).contains("Mine Own", "Nobodys Own").doesNotContain("Theirs Own");
    assertThat(sees.get("/?find=theirs").body()).as("who is looked for is found").contains("Theirs Own");
    assertThat(sees.get("/looks").body()).doesNotContain("Theirs Own");
    sees.post("/account/lifters", Map.of("all", "true", "back", "/"));
    assertThat(sees.get("/").body()).contains("Mine Own", "Nobodys Own", "Theirs Own");
    assertThat(sees.get("/lifters/" + theirs + "/week").statusCode()).isEqualTo(200);
    assertThat(post(owner, "/people/hand-over", Map.of("of", Long.toString(coach), "to", Long.toString(owners))).body())
        .contains("1 lifter handed over to Owner of");
    assertThat(app.jdbc().sql("select count(*) from lifter where club_id = :c and coach_id = :o").param("c", club).param("o", owners)
        .query(Integer.class).single()).isEqualTo(2);
    assertThat(owner.post("/people/hand-over", Map.of("of", "", "to", "999")).statusCode()).isEqualTo(404);
  }

  @Test
  void aSecondStepIsAskedForAndARecoveryCodeCountsOnce() {
    owner.get("/account/steps");
    String page = owner.get("/account/steps").body();
    String secret = find(page, "Secret: <code>([A-Z2-7 ]+)</code>").replace(" ", "");
    assertThat(owner.post("/account/steps/codes", Map.of("code", "000000")).statusCode()).isEqualTo(422);
    // worked out once: half a minute later the phone shows another
    String first = code(secret, 0);
    String done = post(owner, "/account/steps/codes", Map.of("code", first)).body();
    assertThat(done).contains("From now on a code of the phone is asked for");
    String recovery = find(done, "<li><code>([a-z2-7-]{14})</code>");
    assertThat(owner.get("/account/steps").body()).as("shown once").doesNotContain(recovery);
    Client person = new Client(app);
    person.get("/login");
    HttpResponse<String> half = person.post("/login", Map.of("email", "owner@" + tag + ".example", "password", PASSWORD));
    assertThat(half.headers().firstValue("Location").orElse("")).endsWith("/login/second");
    assertThat(person.get("/people").statusCode()).as("half is not in").isEqualTo(302);
    person.get("/login/second");
    assertThat(person.post("/login/second", Map.of("code", first)).statusCode()).as("used already").isEqualTo(401);
    assertThat(person.post("/login/second", Map.of("code", code(secret, 1))).statusCode()).isEqualTo(302);
    assertThat(person.get("/people").statusCode()).isEqualTo(200);
    Client lost = new Client(app);
    lost.get("/login");
    lost.post("/login", Map.of("email", "owner@" + tag + ".example", "password", PASSWORD));
    lost.get("/login/second");
    assertThat(lost.post("/login/second", Map.of("code", recovery.toUpperCase())).statusCode()).isEqualTo(302);
    assertThat(lost.get("/account/steps").body()).contains("9 are left.");
    Client thief = new Client(app);
    thief.get("/login");
    thief.post("/login", Map.of("email", "owner@" + tag + ".example", "password", PASSWORD));
    thief.get("/login/second");
    assertThat(thief.post("/login/second", Map.of("code", recovery)).statusCode()).isEqualTo(401);
    for (int i = 0; i < 9; i++) {
      thief.post("/login/second", Map.of("code", "11111" + i));
    }
    assertThat(thief.post("/login/second", Map.of("code", "123456")).statusCode()).isEqualTo(429);
    assertThat(lost.post("/account/steps/codes/remove", Map.of("current", "wrong")).statusCode()).isEqualTo(422);
    assertThat(lost.post("/account/steps/codes/remove", Map.of("current", PASSWORD)).statusCode()).isEqualTo(302);
    assertThat(Client.signIn(app, "owner@" + tag + ".example").get("/people").statusCode()).isEqualTo(200);
    assertThat(app.jdbc().sql("select count(*) from recovery_code r join person p on p.id = r.person_id where p.email = :e")
        .param("e", "owner@" + tag + ".example").query(Integer.class).single()).isZero();
  }

  /** A session in which the password was shown long ago adds no key of its own. */
  @Test
  void beforeAnythingIsAddedThePasswordIsAsked() {
    app.jdbc().sql("delete from spring_session_attributes where attribute_name = 'passwordShown' and session_primary_id in (select primary_id "
        + "from spring_session where principal_name = :e)").param("e", "owner@" + tag + ".example").update();
    String page = owner.get("/account/steps").body();
    assertThat(page).contains("Your password, before anything is").doesNotContain("Secret:", "data-passkey");
    assertThat(owner.post("/account/steps/codes", Map.of("code", "123456")).body()).contains("Write your password first");
    assertThat(owner.post("/webauthn/register/options", Map.of()).statusCode()).isEqualTo(404);
    assertThat(owner.post("/account/steps/sure", Map.of("current", "wrong")).statusCode()).isEqualTo(422);
    assertThat(owner.post("/account/steps/sure", Map.of("current", PASSWORD)).statusCode()).isEqualTo(302);
    assertThat(owner.get("/account/steps").body()).contains("Secret:");
  }

  private static String find(String page, String pattern) {
    Matcher found = Pattern.compile(pattern).matcher(page);
    assertThat(found.find()).as(pattern).isTrue();
    return found.group(1);
  }

  /** As a phone reckons it: the same standard, written down once more by hand. */
  private static String code(String secret, int stepsOn) {
    try {
      javax.crypto.Mac mac = javax.crypto.Mac.getInstance("HmacSHA1");
      mac.init(new javax.crypto.spec.SecretKeySpec(new org.apache.commons.codec.binary.Base32().decode(secret), "RAW"));
      long step = System.currentTimeMillis() / 30_000 + stepsOn;
      byte[] message = new byte[8];
      for (int i = 7; i >= 0; i--) {
        message[i] = (byte) step;
        step >>= 8;
      }
      byte[] hash = mac.doFinal(message);
      int at = hash[19] & 15;
      long number = (hash[at] & 127L) << 24 | (hash[at + 1] & 255L) << 16 | (hash[at + 2] & 255L) << 8 | hash[at + 3] & 255L;
      return String.format("%06d", number % 1_000_000);
    } catch (java.security.GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  @Test
  void theRecordIsReadByOwnersFilteredAndWithoutSecrets() {
    String link = link(post(owner, "/people/invitations", Map.of("role", "COACH", "name", "Recorded Friend")));
    Client wrong = new Client(app);
    wrong.get("/login");
    wrong.post("/login", Map.of("email", "owner@" + tag + ".example", "password", "a wrong secret"));
    for (int i = 0; i < 5; i++) {
      wrong.post("/login", Map.of("email", "owner@" + tag + ".example", "password", "a wrong secret"));
    }
    String record = owner.get("/record").body();
    assertThat(record).contains("Recorded Friend as coach").contains("signed in").contains("sign-in as owner@" + tag + ".example");
    assertThat(record).doesNotContain(link.substring(6), "a wrong secret", PASSWORD);
    assertThat(app.jdbc().sql("select count(*) from happened where club_id = :c and event = 'SIGN_IN_REFUSED'").param("c", club)
        .query(Integer.class).single()).as("whoever knocks without end fills no table").isOne();
    assertThat(owner.get("/record?event=INVITED").body()).contains("Recorded Friend").doesNotContain("sign-in as owner");
    assertThat(owner.get("/record?who=recorded%25friend").body()).as("signs are signs").doesNotContain("Recorded Friend as coach");
    assertThat(owner.get("/record?from=2300-01-01&to=nonsense").body()).contains("A day looks like");
    assertThat(owner.get("/record?from=2099-01-01").body()).contains("Nothing of that kind");
    add("peeps", Role.COACH);
    assertThat(as("peeps").get("/record").statusCode()).isEqualTo(403);
  }
}
