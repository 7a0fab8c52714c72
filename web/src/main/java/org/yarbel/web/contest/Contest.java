package org.yarbel.web.contest;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.AllowedGear;
import org.yarbel.web.club.ClubRow;

/** A contest. */
@Entity
public class Contest extends ClubRow {
  private UUID ref = UUID.randomUUID();
  private String name = "";

  @Enumerated(EnumType.STRING)
  private Sport sport = Sport.POWERLIFTING;

  @Enumerated(EnumType.STRING)
  private State state = State.PLANNED;

  private @Nullable LocalDate day;
  private String place = "";
  private String federation = "";

  @Enumerated(EnumType.STRING)
  private AllowedGear rules = AllowedGear.OPEN;

  private String further = "";
  private String classes = "";

  @Convert(converter = EventsColumn.class)
  private List<ContestEvent> events = List.of();

  @Convert(converter = DaySheetColumn.class)
  private DaySheet daySheet = DaySheet.USUAL;

  private @Nullable String spectators;
  private boolean gone;
  @Version private int version;

  /** What is contested. */
  public enum Sport {
    POWERLIFTING("powerlifting"),
    STRONGMAN("strongman");

    private final String word;

    Sport(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /** Whether it takes place. */
  public enum State {
    PLANNED("on its day"),
    POSTPONED("put off, no date yet"),
    CANCELLED("cancelled");

    private final String word;

    State(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /**
   * An event of strongman.
   *
   * @param lift a key
   * @param work with the contest's mass, in normal form
   */
  public record ContestEvent(String lift, String work) {}

  /** All that is written down of it. */
  public record ContestSaid(String name, Sport sport, State state, @Nullable LocalDate day, String place, String federation,
      AllowedGear rules, String further, String classes, List<ContestEvent> events) {}

  protected Contest() {}

  public Contest(ContestSaid said) {
    write(said);
  }

  public ContestSaid said() {
    return new ContestSaid(name, sport, state, day, place, federation, rules, further, classes, events);
  }

  final void write(ContestSaid said) {
    this.name = said.name();
    this.sport = said.sport();
    this.state = said.state();
    this.day = said.day();
    this.place = said.place();
    this.federation = said.federation();
    this.rules = said.rules();
    this.further = said.further();
    this.classes = said.classes();
    this.events = List.copyOf(said.events());
  }

  /** What it is known by, in records and outside of the database. */
  public UUID ref() {
    return ref;
  }

  /** What it is called. */
  public String name() {
    return name;
  }

  /** Whether it is planned, put off or cancelled. */
  public State state() {
    return state;
  }

  /** The day it is on; null while it has none. Of one that is cancelled the day it would have been on. */
  public @Nullable LocalDate day() {
    return state == State.POSTPONED ? null : day;
  }

  /** Whether it takes place on a known day. */
  public boolean takesPlace() {
    return state == State.PLANNED && day != null && !gone;
  }

  /** How its day goes. */
  public DaySheet daySheet() {
    return daySheet;
  }

  /** Says how its day goes. */
  public void goesBy(DaySheet sheet) {
    this.daySheet = sheet;
  }

  /** Whether who has the link sees it without signing in. */
  public boolean open() {
    return spectators != null;
  }

  /** Opens it to who has the link whose fingerprint this is; null closes it. */
  public void open(@Nullable String fingerprint) {
    this.spectators = fingerprint;
  }

  /** Whether somebody took it out of the list. */
  public boolean gone() {
    return gone;
  }

  void gone(boolean now) {
    this.gone = now;
  }

  /** Counts its changes, from 0. */
  public int version() {
    return version;
  }
}
