package org.yarbel.web.runway;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.contest.AllowedGear;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.log.NormalGear;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.job.Jobs;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class ContestsTest {
  private static final LocalDate CONTEST = TestApp.TODAY.plusWeeks(9).plusDays(5);

  private static Map<String, String> form(String name, LocalDate day) {
    return new HashMap<>(Map.of("name", name, "sport", "POWERLIFTING", "state", "PLANNED", "day", day.toString(), "place", "Oxbow",
        "federation", "Fenland League", "rules", "CLASSIC", "classes", "all"));
  }

  private static long kept(Client coach, Map<String, String> form) {
    String location = coach.post("/contests", form).headers().firstValue("Location").orElseThrow();
    return Long.parseLong(location.replaceFirst(".*/contests/", ""));
  }

  private static Someone goer(TestApp app, String name) {
    Someone someone = Someone.called(app, name, Map.of("squat", "180", "bench", "120", "deadlift", "220"));
    someone.within(() -> {
      Lifter lifter = someone.lifter();
      lifter.life(null, null, null, EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY));
      lifter.likes(new NormalGear(EnumSet.of(Gear.BELT, Gear.STRAPS), List.of()), RampStyle.SHRINKING, false);
      return app.bean(LifterRepository.class).saveAndFlush(lifter).id();
    });
    return someone;
  }

  @Test
  void listsTheContestsOfTheDemoWithWhoGoes(TestApp app) {
    String page = Client.of(app, "coach").get("/contests").body();
    assertThat(page).contains("Lowmoor Open").contains("Maren Oakhurst").contains("Thornby Strong Day").contains("strongman")
        .contains("1 plan leads elsewhere");
    assertThat(Client.of(app, "maren").get("/contests").statusCode()).isEqualTo(403);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "day    | 2026-02-28                  | That day is behind: write one to come.",
      "day    | ''                          | Write the day it is on, such as",
      "day    | soon                        | Write the day as year-month-day",
      "day    | 2026-03-05                  | That is in 3 days: nothing but rest and openers can be planned for it. Send it "
          + "again if it is right.",
      "name   | ''                          | Write the name of the contest, at most 80 characters.",
      "events | Yoke walk carry 1x20m 300kg | Write each event as lift, colon, work",
      "events | Yoke walk: carry 20m        | Yoke walk:",
      "events | Moon walk: carry 1x20m 5kg  | There is no lift",
  })
  void whatCannotBeIsSaidBesideItsFieldAndNothingIsLost(String field, String typed, String sentence, TestApp app) {
    Map<String, String> form = form("Weir Day", CONTEST);
    form.put(field, typed);
    HttpResponse<String> answer = Client.of(app, "coach").post("/contests", form);
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains(sentence).contains("Fenland League");
  }

  @Test
  void whatWasAskedOnceIsTakenTheSecondTime(TestApp app) {
    Client coach = Client.of(app, "coach");
    Map<String, String> form = form("Weir Day", TestApp.TODAY.plusDays(3));
    form.put("sure.day", TestApp.TODAY.plusDays(3).toString());
    assertThat(coach.get("/contests/" + kept(coach, form)).body()).contains("Weir Day");
  }

  @Test
  void tellsWhatHasToStayInTheBagAndBringsAContestBack(TestApp app) {
    // in a session of their own: what waits for a page that is not read here would come up on another
    Client coach = Client.signIn(app, "coach");
    Someone someone = goer(app, "Strap Hollis");
    long id = kept(coach, form("Bag Check Open", CONTEST));
    coach.post("/contests/" + id + "/entries", Map.of("lifter", Long.toString(someone.id()), "weightClass", "93", "weighIn",
        CONTEST.minusDays(1).toString()));
    String page = coach.get("/contests/" + id).body();
    assertThat(page).contains("Strap Hollis").contains("class 93, weigh-in Fri 8 May 2026")
        .contains("Not allowed there, but usual in training: straps.");
    assertThat(someone.post("/contests/" + id + "/entries", Map.of("lifter", Long.toString(someone.id()), "weighIn",
        CONTEST.plusDays(1).toString())).body()).contains("The weigh-in must be in the week before the contest");
    coach.post("/contests/" + id + "/remove", Map.of());
    assertThat(coach.get("/contests").body()).contains("Bag Check Open is out of the list.").contains("Bring it back");
    coach.post("/contests/" + id + "/back", Map.of());
    assertThat(coach.get("/contests").body()).contains("Bag Check Open is back.").contains("/contests/" + id);
  }

  @Test
  void ruleSetsForbidWhatTheyDoNotAllow() {
    assertThat(AllowedGear.CLASSIC.forbids(EnumSet.of(Gear.BELT, Gear.KNEE_WRAPS))).containsExactly(Gear.KNEE_WRAPS);
    assertThat(AllowedGear.CLASSIC.forbids(EnumSet.of(Gear.STRAPS, Gear.HOOK_GRIP, Gear.MIXED_GRIP)))
        .as("a way to hold the bar is none of it")
        .containsExactly(Gear.STRAPS);
    assertThat(AllowedGear.EQUIPPED.forbids(EnumSet.of(Gear.SQUAT_SUIT))).isEmpty();
    assertThat(AllowedGear.OPEN.forbids(EnumSet.allOf(Gear.class))).isEmpty();
  }

  @Test
  void anotherClubsContestIsNotFound(TestApp app) {
    assertThat(Client.of(app, "coach").get("/contests/999999999").statusCode()).isEqualTo(404);
    assertThat(Client.of(app, "coach").post("/contests/999999999/refit", Map.of()).statusCode()).isEqualTo(404);
  }

  @Test
  void allPlansThatLeadElsewhereAreRefittedInTheBackground(TestApp app) {
    Client coach = Client.of(app, "coach");
    long id = kept(coach, form("Long Reach Meet", CONTEST));
    List<Someone> goers = new ArrayList<>();
    for (String name : List.of("Ada Reach", "Bram Reach", "Cleo Reach")) {
      Someone goer = goer(app, name);
      coach.post("/contests/" + id + "/entries", Map.of("lifter", Long.toString(goer.id())));
      goer.post(goer.at("/runway/plan"), Map.of("contest", Long.toString(id)));
      goers.add(goer);
    }
    String page = coach.get("/contests/" + id).body();
    assertThat(page).doesNotContain("do not lead to this contest");
    Map<String, String> moved = form("Long Reach Meet", CONTEST.plusWeeks(2));
    moved.put("version", page.replaceFirst("(?s).*name=\"version\" value=\"(\\d+)\".*", "$1"));
    coach.post("/contests/" + id, moved);
    assertThat(coach.get("/contests/" + id).body()).contains("3 plans do not lead to this contest.").contains("Refit all 3");
    String location = coach.post("/contests/" + id + "/refit", Map.of()).headers().firstValue("Location").orElseThrow();
    long job = Long.parseLong(location.replaceFirst(".*/jobs/(\\d+).*", "$1"));
    assertThat(ended(goers.get(0), job)).satisfies(progress -> {
      assertThat(progress.done()).isEqualTo(3);
      assertThat(progress.failed()).isZero();
    });
    assertThat(coach.get("/jobs/" + job).body()).contains("Plans refitted to Long Reach Meet").contains("3 of 3");
    for (Someone goer : goers) {
      assertThat(goer.<LocalDate>within(() -> app.bean(LongPlans.class).of(goer.id()).orElseThrow().plan().contest()))
          .isEqualTo(CONTEST.plusWeeks(2));
    }
    assertThat(coach.get("/contests/" + id).body()).doesNotContain("do not lead to this contest");
    assertThat(Client.of(app, "maren").get("/jobs/" + job).statusCode()).isEqualTo(403);
  }

  private static Jobs.Progress ended(Someone someone, long job) {
    Jobs.Progress progress = someone.within(() -> someone.app().bean(Jobs.class).progress(job));
    // asks as the page does, again and again
    for (long until = System.nanoTime() + Duration.ofMinutes(3).toNanos(); System.nanoTime() < until && !progress.ended();) {
      assertThat(someone.coach().get("/jobs/" + job + "/bar").statusCode()).isEqualTo(200);
      progress = someone.within(() -> someone.app().bean(Jobs.class).progress(job));
    }
    assertThat(progress.ended()).isTrue();
    return progress;
  }

  private static List<Jobs.Item> items(Someone... lifters) {
    return Stream.of(lifters).map(lifter -> new Jobs.Item(lifter.ref(), lifter.within(() -> lifter.lifter().name()))).toList();
  }

  @Test
  void whatAKilledProcessHasLeftIsGoneOnWith(TestApp app) {
    Someone source = goer(app, "Dorn Source");
    source.post(source.at("/runway/plan"), Map.of());
    Someone one = goer(app, "Edda Left");
    Someone two = goer(app, "Finn Left");
    // as a process leaves it that dies between two lifters: one done, one not
    long job = app.jdbc().sql("select nextval('yarbel_id')").query(Long.class).single();
    app.jdbc().sql("insert into job (id, club_id, kind, title, document, account_id, begun) values (:id, :club, 'copy-plan', "
        + "'Left over', :source, :account, now())")
        .param("id", job).param("club", source.who().clubId()).param("source", source.ref())
        .param("account", source.who().accountId()).update();
    for (Someone someone : List.of(one, two)) {
      app.jdbc().sql("insert into job_item (id, club_id, job_id, key, name, state) select nextval('yarbel_id'), :club, :job, "
          + "ref, name, :state from lifter where id = :lifter")
          .param("club", source.who().clubId()).param("job", job).param("lifter", someone.id())
          .param("state", someone == one ? "DONE" : "PENDING").update();
    }
    app.bean(Jobs.class).resume();
    assertThat(ended(source, job).done()).isEqualTo(2);
    assertThat(one.<Boolean>within(() -> app.bean(LongPlans.class).of(one.id()).isPresent())).as("was done before: not again").isFalse();
    assertThat(two.<Integer>within(() -> app.bean(LongPlans.class).of(two.id()).orElseThrow().plan().weeks())).isEqualTo(11);
  }

  @Test
  void whatCannotBeDoneForOneIsNotedAndTheOthersAreDone(TestApp app) {
    Someone source = goer(app, "Una Source");
    source.post(source.at("/runway/plan"), Map.of());
    Someone broken = goer(app, "Vic Broken");
    broken.post(broken.at("/runway/plan"), Map.of());
    app.jdbc().sql("update long_plan set document = 'no document' where lifter_id = :l").param("l", broken.id()).update();
    Someone fine = goer(app, "Wim Fine");
    long job = source.within(() -> app.bean(Jobs.class).start("copy-plan", "Una's plan", source.ref(), items(broken, fine), source.who()));
    Jobs.Progress progress = ended(source, job);
    assertThat(progress.done() + progress.failed()).isEqualTo(2);
    assertThat(fine.<Boolean>within(() -> app.bean(LongPlans.class).of(fine.id()).isPresent())).isTrue();
    long refit = source.within(() -> app.bean(Jobs.class).start("refit", "Refit", "", items(broken, fine), source.who()));
    app.jdbc().sql("update long_plan set document = 'no document' where lifter_id = :l").param("l", broken.id()).update();
    ended(source, refit);
    assertThat(source.coach().get("/jobs/" + refit).body()).contains("2 of 2");
  }

  @Test
  void aFailureIsShownWithTheLiftersNameAndLeavesNoTrace(TestApp app) {
    Someone broken = goer(app, "Xeno Broken");
    broken.post(broken.at("/runway/plan"), Map.of());
    app.jdbc().sql("update long_plan set document = 'no document' where lifter_id = :l").param("l", broken.id()).update();
    long job = broken.within(() -> app.bean(Jobs.class).start("refit", "Refit of a broken one", "", items(broken), broken.who()));
    assertThat(ended(broken, job).failures()).singleElement().satisfies(failure -> {
      assertThat(failure.name()).isEqualTo("Xeno Broken");
      assertThat(failure.said()).startsWith("It failed on our side");
    });
    assertThat(broken.coach().get("/jobs/" + job).body()).contains("1 lifter was left undone:").contains("Xeno Broken")
        .doesNotContain("Exception");
    assertThat(broken.coach().get("/jobs/" + job + "?back=//elsewhere").body()).as("only pages of ours").contains("href=\"/\">Back");
  }

  @Test
  void aPlanGoesToOthersWithTheirNumbersAndToTheirContest(TestApp app) {
    Client coach = Client.of(app, "coach");
    Someone source = goer(app, "Greta Source");
    Someone other = Someone.called(app, "Hob Other", Map.of("squat", "100", "bench", "60", "deadlift", "120"));
    other.within(() -> {
      Lifter lifter = other.lifter();
      lifter.life(null, null, null, EnumSet.of(DayOfWeek.TUESDAY, DayOfWeek.THURSDAY, DayOfWeek.SUNDAY));
      return app.bean(LifterRepository.class).saveAndFlush(lifter).id();
    });
    Someone busy = Someone.called(app, "Ines Busy", Map.of("squat", "100"));
    busy.within(() -> {
      Lifter lifter = busy.lifter();
      lifter.life(null, null, null, EnumSet.noneOf(DayOfWeek.class));
      return app.bean(LifterRepository.class).saveAndFlush(lifter).id();
    });
    source.post(source.at("/runway/plan"), Map.of());
    long id = kept(coach, form("Their Own Meet", CONTEST));
    other.within(() -> {
      app.bean(Contests.class).send(id, other.id(), "", null, false);
      return 0;
    });
    assertThat(source.post(source.at("/runway/copy"), Map.of()).body()).contains("Nobody was chosen: tick a lifter or a group.");
    String location = source.coach().post(source.at("/runway/copy"), Map.of("to", other.id() + "," + busy.id())).headers()
        .firstValue("Location").orElseThrow();
    ended(source, Long.parseLong(location.replaceFirst(".*/jobs/(\\d+).*", "$1")));
    assertThat(other.on(TestApp.TODAY.plusDays(1))).first().asString().startsWith("squat 4x8 65%");
    assertThat(other.<LocalDate>within(() -> app.bean(LongPlans.class).of(other.id()).orElseThrow().plan().contest())).isEqualTo(CONTEST);
    assertThat(busy.<Boolean>within(() -> app.bean(LongPlans.class).of(busy.id()).isPresent())).as("no day is free").isFalse();
  }
}
