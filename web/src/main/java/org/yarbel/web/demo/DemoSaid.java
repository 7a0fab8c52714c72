package org.yarbel.web.demo;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.yarbel.core.call.Picture;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.log.BodyPlace;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.log.Mark;
import org.yarbel.core.log.Pain;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.log.SessionEffort;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.SpeedProfile;
import org.yarbel.web.clip.Clips;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.SetMark;
import org.yarbel.web.log.SetMarkRepository;
import org.yarbel.web.log.SpeedSource;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.who.SignedIn;

/** What the made-up lifters said of their last weeks, beside what they lifted. It never draws on the chance their loads come from. */
@Component
class DemoSaid {
  private static final int WEEKS = 5;
  private static final long SEED = 17;
  private static final Set<String> SPEAK = Set.of("Maren", "Tamsin", "Odile", "Brannoc");
  private static final Set<String> FILMED = Set.of("Maren", "Tamsin");
  /** Whose word nobody has answered yet. */
  private static final String WAITS = "Odile";
  private static final int MM_A_METRE = 1000;
  /** Who has had a bad night, the first of them that trains today. */
  private static final List<String> TIRED = List.of("Leopold", "Corwin", "Juno", "Brannoc", "Hal", "Sunniva", "Rosalind", "Emeric");
  /** Whose bar has been slower than it was on the bench, for so many days. */
  private static final String SLOW = "Odile";
  private static final int SLOW_DAYS = 15;
  private static final double SLOWER = 0.08;
  /** Whose hips come up first in every deadlift. */
  private static final String HIPS = "Corwin";
  /** Where it hurt on the last day of training, and how much. */
  private static final Map<String, Pain> HURTS = Map.of("Hal", new Pain(BodyPlace.KNEE, Pain.Side.LEFT, 5, "deep squats"),
      "Sunniva", new Pain(BodyPlace.LOWER_BACK, null, 4, "pulling from the pins"));
  /** Whose deadlift waits for the coach's word, planned with less than the estimate. */
  private static final String WAITING = "Leopold";
  private static final double AGREED = 0.966;

  private final TrainingSessionRepository sessions;
  private final LoggedSetRepository sets;
  private final SetMarkRepository marks;
  private final SessionNotes notes;
  private final Clips clips;
  private final JdbcClient jdbc;
  private final Accounts accounts;
  private final LiftNumbersRepository numbers;

  DemoSaid(TrainingSessionRepository sessions, LoggedSetRepository sets, SetMarkRepository marks, SessionNotes notes, Clips clips,
      JdbcClient jdbc, LiftNumbersRepository numbers, Accounts accounts) {
    this.accounts = accounts;
    this.numbers = numbers;
    this.sessions = sessions;
    this.sets = sets;
    this.marks = marks;
    this.notes = notes;
    this.clips = clips;
    this.jdbc = jdbc;
  }

  /** Somebody who speaks: their account is found by what they are called. */
  private SignedIn account(long club, String name) {
    return accounts.of(club, jdbc.sql("select id from account where club_id = :club and name = :name").param("club", club)
        .param("name", name).query(Long.class).single()).orElseThrow();
  }

  /** The last weeks of everybody. */
  void say(long club, List<Lifter> lifters, LocalDate today) {
    for (Lifter lifter : lifters) {
      Random chance = new Random(SEED + lifter.name().hashCode());
      String name = lifter.name().split(" ")[0];
      TrainingSession last = null;
      Map<String, Mass> heaviest = new HashMap<>();
      for (LiftNumbers own : numbers.findByLifterIdIn(List.of(lifter.id()))) {
        Estimate known = own.estimate(lifter.unit(), today);
        if (known != null) {
          heaviest.put(own.lift(), known.max());
        }
      }
      for (TrainingSession session : behind(lifter, today, WEEKS)) {
        List<LoggedSetRow> logged = sets.ofSession(session.id());
        if (!logged.isEmpty()) {
          notes.checkIn(session, checkIn(chance));
          last = session;
          notes.was(session, new SessionEffort(5 + chance.nextInt(4)), 55 + chance.nextInt(40));
          seen(logged, heaviest, chance, name.equals(SLOW) ? today.minusDays(SLOW_DAYS) : today);
          if (name.equals(HIPS)) {
            logged.stream().filter(row -> row.lift().equals("deadlift") && row.reps() > 0).findFirst()
                .ifPresent(row -> marks.save(new SetMark(row, new Mark(TechniqueMark.HIPS_FIRST, row.reps()), true)));
          }
        }
      }
      if (last != null && HURTS.containsKey(name)) {
        notes.checkIn(last, new CheckIn(13, 3, 2, 3, List.of(HURTS.get(name))));
      }
    }
    badNight(lifters, today);
    waits(lifters, today);
    talk(club, lifters, today);
    filmed(lifters, today, Stream.of(new DemoFilm(40), new DemoFilm(46)).flatMap(film -> film.made().stream()).toList());
  }

  /** The sessions of the last weeks. */
  private List<TrainingSession> behind(Lifter lifter, LocalDate today, int weeks) {
    return sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), today.minusWeeks(weeks), today.minusDays(1));
  }

  private void badNight(List<Lifter> lifters, LocalDate today) {
    TIRED.stream().flatMap(name -> lifters.stream().filter(lifter -> lifter.name().startsWith(name)))
        .flatMap(lifter -> sessions.findByLifterIdAndDay(lifter.id(), today).stream()).findFirst()
        .ifPresent(session -> notes.checkIn(session, new CheckIn(9, 1, 2, 2, List.of())));
  }

  private void waits(List<Lifter> lifters, LocalDate today) {
    lifters.stream().filter(lifter -> lifter.name().startsWith(WAITING)).forEach(lifter -> numbers.findByLifterIdIn(List.of(lifter.id()))
        .stream().filter(own -> own.lift().equals("deadlift")).forEach(own -> {
          Estimate known = own.estimate(lifter.unit(), today);
          own.move(Picture.Moves.ASK, known == null ? null : known.max().scaled(AGREED));
          numbers.save(own);
        }));
  }

  private static CheckIn checkIn(Random chance) {
    return new CheckIn(12 + chance.nextInt(6), 2 + chance.nextInt(4), 3 + chance.nextInt(3), 2 + chance.nextInt(4), List.of());
  }

  /** A mark now and then, and the speed of what counts. */
  private void seen(List<LoggedSetRow> logged, Map<String, Mass> heaviest, Random chance, LocalDate slowFrom) {
    for (LoggedSetRow row : logged) {
      boolean powerlift = List.of("squat", "bench", "deadlift").contains(row.lift());
      if (powerlift && row.reps() > 0 && chance.nextInt(12) == 0) {
        TechniqueMark what = row.lift().equals("squat") ? TechniqueMark.KNEES_IN : TechniqueMark.OTHER;
        marks.save(new SetMark(row, new Mark(row.lift().equals("deadlift") ? TechniqueMark.SLOW_OFF_THE_FLOOR : what,
            1 + chance.nextInt(row.reps())), true));
      }
      Mass most = heaviest.get(row.lift());
      if (powerlift && row.reps() > 0 && most != null) {
        // as slow as usual in a max, faster as it gets lighter, and a little by chance; told to the hundredth
        double atMax = SpeedProfile.typicalAtMax(Movement.valueOf(row.lift().toUpperCase(Locale.ROOT))).orElse(0.2);
        double speed = atMax + 1.05 * (1 - share(row, most)) + 0.012 * chance.nextGaussian()
            - (row.lift().equals("bench") && row.day().isAfter(slowFrom) ? SLOWER : 0);
        int told = 10 * (int) Math.round(MM_A_METRE / 10.0 * Math.min(Math.max(speed, 0.08), 1.4));
        row.measured(new RepSpeeds(List.of(told)), SpeedSource.TYPED);
        sets.save(row);
      }
    }
  }

  /** The share of the day's max a load is: half of it the rating tells, since who rates a load harder moves it slower. */
  private static double share(LoggedSetRow row, Mass most) {
    double known = row.load().ratioTo(most);
    Rpe rated = row.rpe();
    return rated == null ? known : (known + EffortChart.HOUSE.fraction(row.reps(), rated.value()).orElse(known)) / 2;
  }

  private void talk(long club, List<Lifter> lifters, LocalDate today) {
    SignedIn coach = jdbc.sql("select name from account where club_id = :club and lifter_id is null order by id limit 1")
        .param("club", club).query(String.class).optional().map(name -> account(club, name)).orElseThrow();
    for (Lifter lifter : lifters.stream().filter(one -> SPEAK.contains(one.name().split(" ")[0])).toList()) {
      List<TrainingSession> last = behind(lifter, today, 2).stream().filter(session -> !sets.ofSession(session.id()).isEmpty()).toList();
      if (!last.isEmpty()) {
        TrainingSession session = last.get(last.size() - 1);
        notes.say(session, account(club, lifter.name()), UUID.randomUUID(), "Felt heavy off the floor, but every rep was clean.", 0);
        if (!lifter.name().startsWith(WAITS)) {
          notes.say(session, coach, UUID.randomUUID(), "It looked clean. Same loads next time; sleep first.", Long.MAX_VALUE);
        }
      }
    }
  }

  /** The first squat of each of the last two sessions with one, the older at another speed, so that they can be seen side by side. */
  private void filmed(List<Lifter> lifters, LocalDate today, List<byte[]> films) {
    for (Lifter lifter : lifters.stream().filter(one -> FILMED.contains(one.name().split(" ")[0])).toList()) {
      List<LoggedSetRow> squats = behind(lifter, today, WEEKS).stream().flatMap(session -> sets.ofSession(session.id()).stream()
          .filter(row -> row.lift().equals("squat")).limit(1)).toList();
      int from = Math.max(squats.size() - films.size(), 0);
      for (int at = from; at < squats.size(); at++) {
        LoggedSetRow row = squats.get(at);
        clips.add(sessions.findById(row.sessionId()).orElseThrow(), row.line(), row.loggedSet().place(), films.get(at - from),
            row.day().atTime(18, 0).atZone(DemoClub.zone()).toInstant());
      }
    }
  }
}
