package org.yarbel.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Places;
import org.yarbel.web.edit.PlanService;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Raw;
import org.yarbel.web.support.TestApp;
import org.yarbel.web.who.Role;
import org.yarbel.web.who.SignedIn;

@ExtendWith(TestApp.class)
class SecurityTest {
  private record Other(long clubId, long lifterId, long sessionId) {}

  private static Other other;

  /** Another club with a lifter and a session. */
  private static synchronized Other otherClub(TestApp app) {
    if (other == null) {
      Owner owner = app.bean(Owner.class);
      long clubId = owner.newClubId();
      owner.create(clubId, new Owner.Beginning("Elsewhere", ZoneOffset.UTC, PlaceKit.of(Kit.standard(MassUnit.KG)), "Somebody",
          "owner@elsewhere.example", "tarnbrook-demo"));
      other = app.bean(CurrentClub.class).within(clubId, () -> {
        Lifter lifter = app.bean(LifterRepository.class)
            .save(new Lifter("Nobody Here", MassUnit.KG, app.bean(Places.class).all().get(0).id()));
        SignedIn who = app.bean(Accounts.class).of("owner@elsewhere.example").get(0);
        app.bean(PlanService.class).add(lifter, TestApp.TODAY,
            PlanService.TypedWork.of(SlotKind.MAIN, Catalogue.standard().ofKey("squat").orElseThrow(), "5x5 100kg"), who);
        long session = app.bean(TrainingSessionRepository.class).findByLifterIdAndDay(lifter.id(), TestApp.TODAY).orElseThrow().id();
        return new Other(clubId, lifter.id(), session);
      });
    }
    return other;
  }

  @Test
  void anotherClubsIdAndAnUnknownOneAreTheSame404(TestApp app) {
    Other elsewhere = otherClub(app);
    Client coach = Client.signIn(app, "coach");
    for (String path : List.of("/lifters/%s", "/lifters/%s/week", "/lifters/%s/ledger")) {
      HttpResponse<String> theirs = coach.get(path.formatted(elsewhere.lifterId()));
      HttpResponse<String> unknown = coach.get(path.formatted(999_999_999));
      assertThat(theirs.statusCode()).as(path).isEqualTo(404);
      assertThat(theirs.body()).as(path).isEqualTo(unknown.body()).doesNotContain("Nobody Here");
      assertThat(coach.get(path.formatted("abc")).statusCode()).as(path).isEqualTo(404);
    }
    assertThat(coach.get("/sessions/" + elsewhere.sessionId() + "/card").statusCode()).isEqualTo(404);
    assertThat(coach.post("/sessions/" + elsewhere.sessionId() + "/sets", Map.of("load", "100")).statusCode()).isEqualTo(404);
  }

  @Test
  void whatStandsAroundTheWeekOfAnotherClubIsNotThereEither(TestApp app) {
    Other elsewhere = otherClub(app);
    Client coach = Client.signIn(app, "coach");
    String lifter = "/lifters/" + elsewhere.lifterId();
    for (String path : List.of("/weeks", "/sheet", "/progressions", "/progressions?lift=Squat&method=ladder",
        "/week/panel?of=2026-03-02")) {
      assertThat(coach.get(lifter + path).statusCode()).as(path).isEqualTo(404);
    }
    for (String path : List.of("/week/undo", "/week/redo", "/days/2026-03-02/copy?to=2026-03-03", "/days/2026-03-02/clear",
        "/days/2026-03-02/keep",
        "/deloads?monday=2026-03-02", "/deloads/rule", "/silences?check=milestone&reason=x", "/sheet?of=2026-03-02&rows=x",
        "/progressions?method=ladder")) {
      assertThat(coach.post(lifter + path, Map.of()).statusCode()).as(path).isEqualTo(404);
    }
    for (String path : List.of("/slots/999999999/mend?work=3x5", "/slots/999999999/as-written", "/slots/999999999/to?to=2026-03-02",
        "/slots/999999999/down", "/slots/999999999/cell",
        "/slots/999999999/across?of=2026-03-02", "/progressions/999999999/end", "/silences/999999999/end",
        "/library/999999999/take?out=true", "/groups/999999999/lines?of=2026-03-02&lift=squat&work=3x5")) {
      assertThat(coach.post(path, Map.of()).statusCode()).as(path).isEqualTo(404);
    }
    assertThat(coach.get("/groups/999999999/week").statusCode()).isEqualTo(404);
  }

  @Test
  void aLifterWritesNoPlan(TestApp app) {
    Client maren = Client.signIn(app, "maren");
    String own = "/lifters/" + app.lifter("Maren");
    for (String path : List.of(own + "/weeks", own + "/sheet", own + "/progressions", "/groups", "/library", "/checks", "/methods")) {
      assertThat(maren.get(path).statusCode()).as(path).isEqualTo(403);
    }
    for (String path : List.of(own + "/week/undo", own + "/silences", own + "/deloads/rule", "/groups", "/library/keep", "/library/import",
        "/checks")) {
      assertThat(maren.post(path, Map.of()).statusCode()).as(path).isEqualTo(403);
    }
  }

  @Test
  void everyQueryIsBoundToTheClub(TestApp app) {
    Other elsewhere = otherClub(app);
    LifterRepository lifters = app.bean(LifterRepository.class);
    CurrentClub club = app.bean(CurrentClub.class);
    assertThat(lifters.findById(elsewhere.lifterId())).as("no club").isEmpty();
    assertThat(lifters.findAll()).as("no club").isEmpty();
    assertThat(club.<Long>within(elsewhere.clubId(), () -> lifters.count())).isEqualTo(1);
    assertThat(club.<Boolean>within(elsewhere.clubId(), () -> lifters.findById(app.lifter("Maren")).isPresent())).isFalse();
  }

  @Test
  void aLifterSeesOnlyTheirOwnCardAndLedger(TestApp app) {
    Client maren = Client.signIn(app, "maren");
    assertThat(maren.get("/sessions/" + app.session("Maren", TestApp.TODAY) + "/card").statusCode()).isEqualTo(200);
    assertThat(maren.get("/lifters/" + app.lifter("Maren") + "/ledger").statusCode()).isEqualTo(200);
    assertThat(maren.get("/sessions/" + app.session("Odile", TestApp.TODAY) + "/card").statusCode()).isEqualTo(404);
    assertThat(maren.get("/lifters/" + app.lifter("Odile") + "/ledger").statusCode()).isEqualTo(404);
    assertThat(maren.get("/lifters/" + app.lifter("Maren") + "/week").statusCode()).isEqualTo(403);
    assertThat(maren.get("/lifters/new").statusCode()).isEqualTo(403);
    assertThat(maren.get("/").headers().firstValue("Location").orElse("")).endsWith("/me");
  }

  @ParameterizedTest
  @ValueSource(strings = {"/", "/me", "/lifters/new", "/lifters/1/week", "/sessions/1/card"})
  void sendsAStrangerToSignIn(String path) {
    HttpResponse<String> answer = new Client(TestApp.running()).get(path);
    assertThat(answer.statusCode()).isEqualTo(302);
    assertThat(answer.headers().firstValue("Location").orElse("")).endsWith("/login");
  }

  @Test
  void aFragmentAskedForByAStrangerReloadsThePageInstead(TestApp app) {
    HttpResponse<String> answer = new Client(app).get("/", "HX-Request", "true");
    assertThat(answer.statusCode()).isEqualTo(403);
    assertThat(answer.headers().firstValue("HX-Refresh")).contains("true");
  }

  @Test
  void aFormWithoutItsTokenIsRefused(TestApp app) {
    HttpResponse<String> answer = Client.signIn(app, "coach").withoutToken().post("/lifters", Map.of("name", "Forged"));
    assertThat(answer.statusCode()).isEqualTo(403);
    assertThat(answer.body()).doesNotContain("Exception");
  }

  @Test
  void thePolicyAllowsNothingFromElsewhereAndNothingInline(TestApp app) {
    for (String path : List.of("/login", "/", "/lifters/new", "/nowhere")) {
      HttpResponse<String> page = Client.signIn(app, "coach").get(path);
      assertThat(page.headers().firstValue("Content-Security-Policy").orElse("")).as(path)
          .startsWith("default-src 'none'; script-src 'self'; style-src 'self';").doesNotContain("unsafe");
      assertThat(page.body()).as(path).doesNotContain("style=\"").doesNotContain("onclick").doesNotContain("http://", "https://");
    }
  }

  @Test
  void theCookieIsNotForScripts(TestApp app) {
    Raw.Answer page = Raw.of(app).get("/login");
    assertThat(page.head().lines().filter(line -> line.startsWith("Set-Cookie"))).isNotEmpty()
        .allSatisfy(cookie -> assertThat(cookie).contains("HttpOnly").contains("SameSite=Lax"));
  }

  @Test
  void aNewPasswordEndsTheSessionsElsewhere(TestApp app) {
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    app.bean(Accounts.class).add(club, "second@tarnbrook.example", "tarnbrook-demo", "Second Coach", Role.COACH, null);
    Client here = Client.signIn(app, "second");
    Client elsewhere = Client.signIn(app, "second");
    here.get("/account");
    assertThat(here.post("/account", Map.of("current", "wrong", "password", "short")).body())
        .contains("This is not the password you sign in with.").contains("must have 10 to 200 characters but has 5");
    assertThat(here.post("/account", Map.of("current", "tarnbrook-demo", "password", "another-one-1")).statusCode()).isEqualTo(302);
    assertThat(here.get("/account").body()).contains("The password is changed.");
    assertThat(elsewhere.get("/").statusCode()).as("signed out").isEqualTo(302);
    assertThat(Client.signIn(app, "second").get("/").statusCode()).as("the old password").isEqualTo(302);
  }

  @Test
  void passwordsAreKeptAsArgon2(TestApp app) {
    assertThat(app.jdbc().sql("select password_hash from person").query(String.class).list())
        .isNotEmpty().allSatisfy(hash -> assertThat(hash).startsWith("{argon2id}$argon2id$"));
  }

  @Test
  void theFirstVisitIsOver(TestApp app) {
    assertThat(new Client(app).get("/setup").statusCode()).isEqualTo(404);
  }

  @Test
  void noTraceReachesAPerson(TestApp app) {
    Client coach = Client.signIn(app, "coach");
    HttpResponse<String> nowhere = coach.get("/nowhere");
    assertThat(nowhere.statusCode()).isEqualTo(404);
    assertThat(nowhere.body()).contains("Nothing at this address").doesNotContain("at org.", "Exception");
    assertThat(coach.get("/lifters/1/week?of=" + LocalDate.MAX).body()).doesNotContain("Exception");
  }
}
