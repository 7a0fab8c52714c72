package org.yarbel.web.support;

import java.net.URI;
import java.net.http.HttpResponse;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.lifter.LifterService;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.who.Role;
import org.yarbel.web.who.SignedIn;

/** A lifter of the demo's club for one test alone, with the demo's coach beside them. */
public record Someone(TestApp app, long id, Client coach, SignedIn who) {
  /**
   * Takes somebody on.
   *
   * @param maxes in kg, tested today, by key of the lift
   */
  public static Someone called(TestApp app, String name, Map<String, String> maxes) {
    SignedIn who = app.bean(Accounts.class).of("coach@tarnbrook.example").get(0);
    long id = app.bean(CurrentClub.class).within(who.clubId(), () -> {
      LifterRepository lifters = app.bean(LifterRepository.class);
      long place = lifters.findById(app.lifter("Maren")).orElseThrow().placeId();
      Lifter lifter = new Lifter(name, MassUnit.KG, place);
      lifter.life(null, null, null, EnumSet.allOf(DayOfWeek.class));
      lifters.saveAndFlush(lifter);
      maxes.forEach((lift, max) -> {
        LiftNumbers own = new LiftNumbers(lifter.id(), lift);
        own.decide(Level.INTERMEDIATE, Basis.ESTIMATED);
        own.test(Mass.of(max, MassUnit.KG), TestApp.TODAY);
        app.bean(LiftNumbersRepository.class).saveAndFlush(own);
        app.bean(LifterService.LiftTracker.class).rerun(lifter, lift);
      });
      return lifter.id();
    });
    return new Someone(app, id, Client.of(app, "coach"), who);
  }

  /** Does something in the club. */
  public <T> T within(Supplier<T> work) {
    return app.bean(CurrentClub.class).within(who.clubId(), work::get);
  }

  /** The club they train in. */
  public long clubId() {
    return who.clubId();
  }

  public Lifter lifter() {
    return app.bean(LifterRepository.class).findById(id).orElseThrow();
  }

  /** The address of something of theirs. */
  public String at(String path) {
    return "/lifters/" + id + path;
  }

  /** What stands on a day, in order: {@code squat 3x5 @8}. */
  public List<String> on(LocalDate day) {
    return app.jdbc().sql("select s.lift || ' ' || s.work from slot s join training_session t on t.id = s.session_id where "
        + "t.lifter_id = :l and t.day = :d order by s.position, s.id")
        .param("l", id).param("d", day).query(String.class).list();
  }

  /** The id of a line of a day. */
  public long slot(LocalDate day, String lift) {
    return app.jdbc().sql("select s.id from slot s join training_session t on t.id = s.session_id where t.lifter_id = :l and "
        + "t.day = :d and s.lift = :lift order by s.position limit 1")
        .param("l", id).param("d", day).param("lift", lift).query(Long.class).single();
  }

  public int version(long slot) {
    return app.jdbc().sql("select version from slot where id = :id").param("id", slot).query(Integer.class).single();
  }

  /** Sends a form as a browser does: where it is sent on to another page, that page is the answer. */
  public HttpResponse<String> post(String path, Map<String, String> form) {
    HttpResponse<String> answer = coach.post(path, form);
    return answer.statusCode() == 302 ? coach.get(URI.create(answer.headers().firstValue("Location").orElseThrow()).toString()
        .replaceFirst("^https?://[^/]+", "")) : answer;
  }

  /** Writes a line by the board. */
  public void add(LocalDate day, String kind, String lift, String work) {
    coach.post(at("/days/" + day + "/slots"), Map.of("kind", kind, "lift", lift, "work", work));
  }

  /** Lets a method write a lift on one day of the week. */
  public HttpResponse<String> method(String lift, String method, LocalDate day, Map<String, String> more) {
    Map<String, String> form = new HashMap<>(Map.of("lift", lift, "method", method, "starts", day.toString(), "days", day.getDayOfWeek()
        .name(), "turn", "EVERY"));
    form.putAll(more);
    return post(at("/progressions"), form);
  }

  /** Logs the first sets of a line of a day as asked, with so many reps each. */
  public void lift(LocalDate day, String lift, int... reps) {
    lift(day, lift, null, reps);
  }

  /** The same, each rated. */
  public void lift(LocalDate day, String lift, @Nullable Rpe rated, int... reps) {
    within(() -> app.bean(TransactionTemplate.class).execute(status -> {
      Slot slot = app.bean(SlotRepository.class).findById(slot(day, lift)).orElseThrow();
      LifterContext context = app.bean(LifterContexts.class).of(lifter(), null);
      List<ResolvedSet> asked = new SessionResolver(context).alone(PlannedLine.of(context.lift(lift), slot.work())).line().sets();
      for (int i = 0; i < reps.length; i++) {
        LoggedSet.Place place = new LoggedSet.Place(asked.get(i).part(), asked.get(i).set());
        LoggedSetRow row = new LoggedSetRow(id, slot.sessionId(), slot.ref(), place, lift, day);
        row.write(new Entry(UUID.randomUUID(), slot.ref(), place, 1, -1, asked.get(i).load(), reps[i], rated, false, null, null,
            null, null, null), asked.get(i), true, Instant.EPOCH);
        app.bean(LoggedSetRepository.class).saveAndFlush(row);
      }
      return 0;
    }));
  }

  /** Draws up their calls at once, as is done in the background a moment after each log. */
  public void lookAt() {
    post(at("/calls"), Map.of());
  }

  /** Lets them sign in, as somebody who has taken up an invitation. */
  public long signsIn(String email, String password) {
    return app.bean(Accounts.class).add(clubId(), email, password, within(() -> lifter().name()), Role.LIFTER, id);
  }

  /** What the lifter is known by outside. */
  public String ref() {
    return app.jdbc().sql("select ref::text from lifter where id = :id").param("id", id).query(String.class).single();
  }
}
