package org.yarbel.core.call;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Pattern;
import org.yarbel.core.lift.Variation.Trait;
import org.yarbel.core.log.MarkList;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.Work;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.SessionTime;
import org.yarbel.core.plan.SlotKind;

/**
 * From where a lift is weak to the work that trains it. The table stands in {@code weak-points.txt} beside this class; common
 * practice, no source.
 */
public final class WeakPoints {
  private static final List<Row> ROWS = Table.read("weak-points.txt", 5, Row::of);
  private static final int FIRST_RPE = 7;
  private static final int HOLD_SECONDS = 20;
  /** A session is not made longer than this. Our own default. */
  private static final int MOST_MINUTES = 100;
  private static final int DAYS_AHEAD = 7;

  private WeakPoints() {}

  /**
   * A weak point.
   *
   * @param weak where it is, as inside of a sentence: {@code off the floor}
   * @param lifts keys of what trains it, the nearest first
   * @param trains what is trained
   */
  public record Row(MarkList list, TechniqueMark mark, String weak, List<String> lifts, String trains) {
    static Row of(List<String> cells) {
      MarkList list = MarkList.valueOf(cells.get(0).toUpperCase(Locale.ROOT));
      TechniqueMark mark = Arrays.stream(TechniqueMark.values()).filter(one -> one.word().equals(cells.get(1))).findFirst().orElseThrow();
      if (!list.marks().contains(mark)) {
        throw new IllegalArgumentException("no mark of " + list);
      }
      return new Row(list, mark, cells.get(2), Table.lifts(cells.get(3)), cells.get(4));
    }
  }

  /** All of the table. */
  public static List<Row> all() {
    return ROWS;
  }

  /** The weak point that a mark of a lift tells of. */
  public static Optional<Row> of(Lift lift, TechniqueMark mark) {
    return ROWS.stream().filter(row -> row.list() == MarkList.of(lift) && row.mark() == mark).findFirst();
  }

  /**
   * What of it can be done by this lifter: what the place loads, what loads nothing that hurts, what suits the level, and is not in
   * the week already; the nearest first.
   */
  public static List<Lift> work(Picture picture, Row row, Lift trained) {
    Set<String> week = new HashSet<>();
    picture.sessions().stream().filter(session -> !session.day().isBefore(picture.today().minusDays(DAYS_AHEAD))
        && session.day().isBefore(picture.today().plusDays(DAYS_AHEAD))).forEach(session -> session.lines()
        .forEach(line -> week.add(line.lift().key())));
    return row.lifts().stream().map(key -> picture.context().lifts().ofKey(key)).flatMap(Optional::stream)
        .filter(lift -> !lift.key().equals(trained.key()) && !week.contains(lift.key()) && here(picture, lift) && !picture.hurts(lift)
            && suits(lift, picture.context().level(trained))).toList();
  }

  /** Whether the place has what it is done with. Nobody writes machines down, so those are offered last. */
  static boolean here(Picture picture, Lift lift) {
    return lift.equipment() == Equipment.BODY || lift.equipment() == Equipment.OTHER || picture.context().kit().of(lift, null).isPresent();
  }

  private static boolean suits(Lift lift, @Nullable Level level) {
    boolean special = lift.variation().assisted() || lift.variation().partial() || lift.variation().traits().containsKey(Trait.RESISTANCE);
    return !special || level != null && level != Level.BEGINNER;
  }

  /** A line of assistance for it on the next day that the lift is trained, where the session has the time; empty otherwise. */
  static Optional<Effect> line(Picture picture, Row row, Lift trained, Lift help) {
    return picture.planned(trained.key()).stream().map(Picture.Planned::session)
        .filter(session -> minutes(picture, session) < MOST_MINUTES).findFirst()
        .map(session -> new Effect.Add(session.day(), SlotKind.ASSISTANCE, help.key(), work(picture, help), row.weak()));
  }

  /** A first exposure is at RPE 7 where a max is known, else the lifter picks; what is held is held. */
  private static String work(Picture picture, Lift help) {
    if (help.pattern() == Pattern.HOLD) {
      return PartOf.of(new Work.Hold(3, HOLD_SECONDS)).line().toString();
    }
    if (help.pattern() == Pattern.CARRY || help.pattern() == Pattern.DRAG) {
      return PartOf.of(new Work.Carry(3, BigDecimal.valueOf(HOLD_SECONDS), Work.DistanceUnit.M)).with(new Option.Rest(90)).line()
          .toString();
    }
    boolean known = help.onBar() && picture.context().numbers(help).best() != null;
    return known ? PartOf.sets(3, 6).rpe(FIRST_RPE).line().toString() : PartOf.between(3, 8, 12).line().toString();
  }

  private static int minutes(Picture picture, Picture.Session session) {
    return SessionTime.minutes(session.lines().stream().map(line -> Optional.ofNullable(LineChange.resolved(picture, line.planned()))
        .map(resolved -> new SessionTime.Line(CountedLine.of(0, session.day(), line.kind(), line.lift(), resolved, picture.context()), null,
            null)).orElse(null)).filter(Objects::nonNull).collect(Collectors.toList()));
  }
}
