package org.yarbel.web.program;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.core.plan.progress.Occasions;
import org.yarbel.web.club.ClubRow;
import org.yarbel.web.column.Documents;
import org.yarbel.web.column.Weekdays;

/** A method that writes the exposures of one lift of a lifter. */
@Entity
public class Progression extends ClubRow {
  /** What is kept beside the parameters of a method: the max its lifter began from. */
  public static final String START_MAX = "startMax";

  /** And the day that was, where it is not the day the method starts. */
  public static final String START_ON = "startOn";

  private UUID ref = UUID.randomUUID();
  private long lifterId;
  private String lift = "";

  @Enumerated(EnumType.STRING)
  private Method method = Method.RPE_WEEKS;

  @Convert(converter = Documents.OfTexts.class)
  private Map<String, String> settings = Map.of();

  private LocalDate startsOn = LocalDate.EPOCH;

  @Convert(converter = Weekdays.class)
  private Set<DayOfWeek> days = Set.of();

  @Enumerated(EnumType.STRING)
  private Turn turn = Turn.EVERY;

  private @Nullable LocalDate endsOn;

  @Convert(converter = Documents.OfKeys.class)
  private Set<String> leftOut = Set.of();

  private @Nullable Integer blockNo;
  private @Nullable LocalDate contestOn;

  @Convert(converter = Documents.OfDays.class)
  private Set<LocalDate> skips = Set.of();

  @Version private int version;

  protected Progression() {}

  public Progression(long lifterId, String lift, Method method) {
    this.lifterId = lifterId;
    this.lift = lift;
    this.method = method;
  }

  /** What the screens say of the days it is lifted on. */
  public static String words(Turn turn) {
    return switch (turn) {
      case EVERY -> "every time";
      case FIRST -> "every other time, from the first";
      case SECOND -> "every other time, from the second";
    };
  }

  /** What it is known by, in records and outside of the database. */
  public UUID ref() {
    return ref;
  }

  public long lifterId() {
    return lifterId;
  }

  /** The key of the lift it writes. */
  public String lift() {
    return lift;
  }

  /** The method that writes. */
  public Method method() {
    return method;
  }

  /** What was set of the method, by the key of the parameter. */
  public Map<String, String> settings() {
    return settings;
  }

  /** The Monday of its first week. */
  public LocalDate startsOn() {
    return startsOn;
  }

  /** The days of the week it writes for. */
  public Set<DayOfWeek> days() {
    return days;
  }

  /** Which of those days in turn. */
  public Turn turn() {
    return turn;
  }

  /** The day from which it writes nothing more; null while it goes on. */
  public @Nullable LocalDate endsOn() {
    return endsOn;
  }

  /** Whether it still writes on a day. */
  public boolean runsOn(LocalDate day) {
    return endsOn == null || endsOn.isAfter(day) && endsOn.isAfter(startsOn);
  }

  /** Counts its changes, from 0. */
  public int version() {
    return version;
  }

  /** Exposures a week, at least one. */
  public int perWeek() {
    return Occasions.perWeek(days.size(), turn);
  }

  /** The block of the long plan it belongs to; null for one that a coach has set up by itself. */
  public @Nullable Integer blockNo() {
    return blockNo;
  }

  /** The contest it counts down to; null for none. */
  public @Nullable LocalDate contestOn() {
    return contestOn;
  }

  /** Days it leaves out, such as that of a contest on the way. */
  public Set<LocalDate> skips() {
    return skips;
  }

  /** Belongs to a block of the long plan. */
  public void belong(@Nullable Integer block, @Nullable LocalDate contest, Set<LocalDate> without) {
    this.blockNo = block;
    this.contestOn = contest;
    this.skips = Collections.unmodifiableSet(new TreeSet<>(without));
  }

  /** The days it is lifted on, up to one. */
  public List<Occasions.Occasion> occasions(Predicate<LocalDate> easy, LocalDate until) {
    Set<LocalDate> without = skips();
    return Occasions.of(startsOn, days(), turn, day -> runsOn(day) && !without.contains(day), easy, until);
  }

  /** Says how it goes from now on. */
  public void set(Map<String, String> newSettings, LocalDate monday, Set<DayOfWeek> newDays, Turn newTurn) {
    this.settings = Map.copyOf(newSettings);
    this.startsOn = monday;
    this.days = Set.copyOf(newDays);
    this.turn = newTurn;
  }

  /** Ends it, or lets it go on. */
  public void end(@Nullable LocalDate from) {
    this.endsOn = from;
  }

  /** Lines a coach has taken out, as {@code exposure.line}; it writes them no more. */
  public Set<String> leftOut() {
    return leftOut;
  }

  /** Takes a line out of what it writes. */
  public void leaveOut(int exposure, int line) {
    Set<String> all = new TreeSet<>(leftOut());
    all.add(exposure + "." + line);
    leaveOut(all);
  }

  /** Writes everything but these lines, as {@code exposure.line}. */
  public void leaveOut(Set<String> lines) {
    this.leftOut = Collections.unmodifiableSet(new TreeSet<>(lines));
  }
}
