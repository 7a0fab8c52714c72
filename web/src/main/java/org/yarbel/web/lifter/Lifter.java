package org.yarbel.web.lifter;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.Formula;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.log.NormalGear;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.Deload;
import org.yarbel.web.club.ClubRow;
import org.yarbel.web.column.Names;
import org.yarbel.web.column.Weekdays;

/** A lifter of the club: who it is, how they live and what they like. Their body mass over time are {@link WeighIn}s. */
@Entity
public class Lifter extends ClubRow {
  private static final String MALE = "M";
  private static final String FEMALE = "F";

  private long placeId;
  private UUID ref = UUID.randomUUID();
  private @Nullable Long coachId;
  private String name = "";

  @Enumerated(EnumType.STRING)
  private MassUnit unit = MassUnit.KG;

  private @Nullable String sex;
  private @Nullable Integer birthYear;
  private String note = "";
  private @Nullable Integer heightMm;
  private @Nullable LocalDate trainingSince;

  @Enumerated(EnumType.STRING)
  private @Nullable WorkLoad workLoad;

  @Enumerated(EnumType.STRING)
  private @Nullable Diet diet;


  @Convert(converter = Weekdays.class)
  private Set<DayOfWeek> daysFree = Set.of();

  @Convert(converter = Names.OfGear.class)
  private Set<Gear> gear = Set.of();

  @Convert(converter = GearFromColumn.class)
  private List<NormalGear.From> gearFrom = List.of();

  private boolean rampEven;
  @Column(name = "ramp_jump_ng") private @Nullable Long rampJumpNg;
  private @Nullable Integer rampMost;
  private boolean bothUnits;
  private @Nullable Integer deloadEvery;

  @Enumerated(EnumType.STRING)
  private Deload deloadKind = Deload.HALF_LOAD;

  @Version private int version;

  /** The newest weigh-in, read with the lifter. */
  @Formula("(select max(w.mass_ng) from weigh_in w where w.club_id = club_id and w.lifter_id = id "
      + "and w.day = (select max(m.day) from weigh_in m where m.club_id = club_id and m.lifter_id = id))")
  private @Nullable Long bodyNg;

  /** Where else they train: ids of places with commas between, read with the lifter. */
  @Formula("(select string_agg(p.place_id || '', ',') from lifter_place p where p.club_id = club_id and p.lifter_id = id)")
  private @Nullable String elsewhere;

  protected Lifter() {}

  public Lifter(String name, MassUnit unit, long placeId) {
    this.name = name;
    this.unit = unit;
    this.placeId = placeId;
  }

  /** How hard the day is beside the training. */
  public enum WorkLoad {
    SEATED("seated"),
    ON_FEET("on their feet"),
    PHYSICAL("physical"),
    SHIFTS("shifts or nights");

    private final String word;

    WorkLoad(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /** What the body mass is meant to do; context only, never advised on. */
  public enum Diet {
    HOLDING("holding"),
    GAINING("gaining"),
    DIETING("dieting"),
    MAKING_WEIGHT("making weight");

    private final String word;

    Diet(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /** What the lifter is known by outside: in a workbook, an export. */
  public UUID ref() {
    return ref;
  }

  /** The account of the coach whose lifter they are; null for nobody's. */
  public @Nullable Long coachId() {
    return coachId;
  }

  /** Becomes a coach's lifter. */
  public void ofCoach(@Nullable Long account) {
    this.coachId = account;
  }

  /** What they are called. */
  public String name() {
    return name;
  }

  /** Where else they train beside {@link #placeId}. */
  public Set<Long> furtherPlaces() {
    return elsewhere == null ? Set.of() : Arrays.stream(elsewhere.split(",")).map(Long::valueOf).collect(Collectors.toSet());
  }

  /** Their body mass as it was weighed last; null when nobody weighed them. */
  public @Nullable Mass body() {
    return bodyNg == null ? null : Mass.ofNanograms(bodyNg, unit);
  }

  /** The unit every screen shows this lifter's loads in. */
  public MassUnit unit() {
    return unit;
  }

  /** Whether screens show the other unit beside it. */
  public boolean bothUnits() {
    return bothUnits;
  }

  /** The place they train in first. */
  public long placeId() {
    return placeId;
  }

  /** Their sex; null where nobody said. */
  public @Nullable Sex sex() {
    if (sex == null) {
      return null;
    }
    return sex.equals(MALE) ? Sex.MALE : Sex.FEMALE;
  }

  /** The year they were born; null where nobody said. */
  public @Nullable Integer birthYear() {
    return birthYear;
  }

  /** What coaches noted of them. */
  public String note() {
    return note;
  }

  public @Nullable Integer heightMm() {
    return heightMm;
  }

  public @Nullable LocalDate trainingSince() {
    return trainingSince;
  }

  public @Nullable WorkLoad workLoad() {
    return workLoad;
  }

  public @Nullable Diet diet() {
    return diet;
  }

  /** Whether they eat less than they burn. */
  public boolean dieting() {
    return diet == Diet.DIETING || diet == Diet.MAKING_WEIGHT;
  }

  /** Whether life takes much of what recovery needs: a diet, physical work, shifts. */
  public boolean strained() {
    return dieting() || workLoad == WorkLoad.PHYSICAL || workLoad == WorkLoad.SHIFTS;
  }

  /** The days of the week they can train on. */
  public Set<DayOfWeek> daysFree() {
    return daysFree;
  }

  /** What they normally wear. */
  public Set<Gear> gear() {
    return gear;
  }

  /** What they normally wear, and from which load on. */
  public NormalGear normalGear() {
    return new NormalGear(gear, gearFrom);
  }

  /** How they like to warm up. */
  public RampStyle ramp() {
    Mass jump = rampJumpNg == null ? RampStyle.even(unit).jump() : Mass.ofNanograms(rampJumpNg, unit);
    return new RampStyle(rampEven ? jump : null, rampMost);
  }

  /** After how many weeks an easy one is placed; null for none by itself. */
  public @Nullable Integer deloadEvery() {
    return deloadEvery;
  }

  /** How an easy week is taken. */
  public Deload deloadKind() {
    return deloadKind;
  }

  /** Sets the rule of easy weeks. */
  public void deloads(@Nullable Integer every, Deload kind) {
    this.deloadEvery = every;
    this.deloadKind = kind;
  }

  /** Counts the changes of their page, from 0. */
  public int version() {
    return version;
  }

  /** Writes down who this is and where they train. */
  public void describe(String newName, MassUnit newUnit, long newPlaceId) {
    this.name = newName;
    this.unit = newUnit;
    this.placeId = newPlaceId;
  }

  /** Writes down what is known of the body, and what to keep in mind. */
  public void body(@Nullable Sex newSex, @Nullable Integer newBirthYear, @Nullable Integer newHeightMm, String newNote) {
    String given = newSex == Sex.MALE ? MALE : FEMALE;
    this.sex = newSex == null ? null : given;
    this.birthYear = newBirthYear;
    this.heightMm = newHeightMm;
    this.note = newNote;
  }

  /** Writes down how they live and since when they train. */
  public void life(@Nullable LocalDate since, @Nullable WorkLoad newWorkLoad, @Nullable Diet newDiet, Set<DayOfWeek> free) {
    this.trainingSince = since;
    this.workLoad = newWorkLoad;
    this.diet = newDiet;
    this.daysFree = Set.copyOf(free);
  }

  /** Writes down what they wear and like. */
  public void likes(NormalGear normal, RampStyle ramp, boolean showBothUnits) {
    this.gear = normal.pieces();
    this.gearFrom = normal.from();
    this.rampEven = ramp.jump() != null;
    this.rampJumpNg = ramp.jump() == null ? null : Long.valueOf(ramp.jump().nanograms());
    this.rampMost = ramp.most();
    this.bothUnits = showBothUnits;
  }
}
