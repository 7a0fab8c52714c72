package org.yarbel.web.contest;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Estimate;

/**
 * What was prepared of somebody's contest.
 *
 * @param racks heights by lift, as they are called at the platform
 * @param packed of the list of things to bring, those in the bag
 * @param aim null for what the day allows
 * @param openers by lift, those decided beforehand
 * @param warmUps by lift
 * @param gym by lift what the gym's numbers said of the day, kept when it went into the log; empty before
 */
public record Prepared(Map<String, String> racks, Set<String> packed, @Nullable Aim aim, Map<String, Mass> openers,
    Map<String, WarmUp> warmUps, Map<String, Estimate> gym) {
  /** Nothing yet. */
  public static final Prepared NOTHING = new Prepared(Map.of(), Set.of(), null, Map.of(), Map.of(), Map.of());

  /** What somebody aims at. */
  public enum AimKind {
    TOTAL("a total"),
    RECORD("a record"),
    PLACE("a place");

    private final String word;

    AimKind(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /**
   * One aim.
   *
   * @param load of a total or a record; null of a place
   * @param lift of a record; empty of another
   * @param place from 1; 0 of another
   */
  public record Aim(AimKind kind, @Nullable Mass load, String lift, int place) {}

  /**
   * How a warm-up stands.
   *
   * @param ahead attempts before the opener; null for as many as the table says
   * @param done steps that are lifted, by their number from 0
   */
  public record WarmUp(@Nullable Integer ahead, List<Integer> done) {
    public WarmUp {
      done = List.copyOf(done);
    }
  }

  public Prepared {
    racks = Map.copyOf(racks);
    packed = Set.copyOf(packed);
    openers = Map.copyOf(openers);
    warmUps = Map.copyOf(warmUps);
    gym = Map.copyOf(gym);
  }

  /** The same with another warm-up of a lift. */
  public Prepared with(String lift, WarmUp warmUp) {
    Map<String, WarmUp> all = new HashMap<>(warmUps);
    all.put(lift, warmUp);
    return new Prepared(racks, packed, aim, openers, all, gym);
  }

  /** The same with these things in the bag. */
  public Prepared packing(Set<String> things) {
    return new Prepared(racks, things, aim, openers, warmUps, gym);
  }

  /** The same with what the gym's numbers said of the day. */
  public Prepared knowing(Map<String, Estimate> said) {
    return new Prepared(racks, packed, aim, openers, warmUps, said);
  }
}
