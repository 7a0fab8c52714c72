package org.yarbel.web.program;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.core.plan.progress.Occasions;
import org.yarbel.web.club.ClubRow;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** A method that writes the exposures of one lift of a lifter. */
@Entity
public class Progression extends ClubRow {
  /** What is kept beside the parameters of a method: the max its lifter began from. */
  public static final String START_MAX = "startMax";

  /** And the day that was, where it is not the day the method starts. */
  public static final String START_ON = "startOn";

  private static final JsonMapper JSON = new JsonMapper();

  private long lifterId;
  private String lift = "";

  @Enumerated(EnumType.STRING)
  private Method method = Method.RPE_WEEKS;

  private String settings = "{}";
  private LocalDate startsOn = LocalDate.EPOCH;
  private int days;

  @Enumerated(EnumType.STRING)
  private Turn turn = Turn.EVERY;

  private @Nullable LocalDate endsOn;
  private String leftOut = "[]";
  private @Nullable Integer blockNo;
  private @Nullable LocalDate contestOn;
  private String skips = "[]";
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

  public long lifterId() {
    return lifterId;
  }

  public String lift() {
    return lift;
  }

  public Method method() {
    return method;
  }

  /** What was set of the method, by the key of the parameter. */
  public Map<String, String> settings() {
    return JSON.readValue(settings, new TypeReference<Map<String, String>>() {});
  }

  /** The Monday of its first week. */
  public LocalDate startsOn() {
    return startsOn;
  }

  public Set<DayOfWeek> days() {
    Set<DayOfWeek> all = EnumSet.noneOf(DayOfWeek.class);
    for (DayOfWeek day : DayOfWeek.values()) {
      if ((days >> day.ordinal() & 1) == 1) {
        all.add(day);
      }
    }
    return all;
  }

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

  public int version() {
    return version;
  }

  /** Exposures a week, at least one. */
  public int perWeek() {
    return Occasions.perWeek(Integer.bitCount(days), turn);
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
    return "[]".equals(skips) ? Set.of() : Arrays.stream(JSON.readValue(skips, String[].class)).map(LocalDate::parse).collect(Collectors.toSet());
  }

  /** Belongs to a block of the long plan. */
  public void belong(@Nullable Integer block, @Nullable LocalDate contest, Set<LocalDate> without) {
    this.blockNo = block;
    this.contestOn = contest;
    this.skips = JSON.writeValueAsString(without.stream().sorted().map(LocalDate::toString).toList());
  }

  /** The days it is lifted on, up to one. */
  public List<Occasions.Occasion> occasions(Predicate<LocalDate> easy, LocalDate until) {
    Set<LocalDate> without = skips();
    return Occasions.of(startsOn, days(), turn, day -> runsOn(day) && !without.contains(day), easy, until);
  }

  /** Says how it goes from now on. */
  public void set(Map<String, String> newSettings, LocalDate monday, Set<DayOfWeek> newDays, Turn newTurn) {
    this.settings = JSON.writeValueAsString(newSettings);
    this.startsOn = monday;
    this.days = newDays.stream().mapToInt(day -> 1 << day.ordinal()).sum();
    this.turn = newTurn;
  }

  /** Ends it, or lets it go on. */
  public void end(@Nullable LocalDate from) {
    this.endsOn = from;
  }

  /** Lines a coach has taken out, as {@code exposure.line}; it writes them no more. */
  public Set<String> leftOut() {
    return new HashSet<>(List.of(JSON.readValue(leftOut, String[].class)));
  }

  /** Takes a line out of what it writes. */
  public void leaveOut(int exposure, int line) {
    Set<String> all = new TreeSet<>(leftOut());
    all.add(exposure + "." + line);
    leaveOut(all);
  }

  /** Writes everything but these lines, as {@code exposure.line}. */
  public void leaveOut(Set<String> lines) {
    this.leftOut = JSON.writeValueAsString(lines);
  }
}
