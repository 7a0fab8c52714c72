package org.yarbel.core.contest;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import org.yarbel.core.lift.Gear;

/**
 * What equipment a contest allows, in the usual kinds. Common practice, no source: federations differ in the details, and
 * their rule book wins.
 */
public enum AllowedGear {
  CLASSIC("classic", "Nothing that lifts: belt, knee sleeves, wrist wraps.", Gear.BELT, Gear.KNEE_SLEEVES, Gear.WRIST_WRAPS),
  CLASSIC_WITH_WRAPS("classic with knee wraps", "As classic, with knee wraps in place of sleeves.", Gear.BELT, Gear.KNEE_SLEEVES,
      Gear.KNEE_WRAPS, Gear.WRIST_WRAPS),
  EQUIPPED("equipped", "Suits, shirt and wraps.", Gear.BELT, Gear.KNEE_SLEEVES, Gear.KNEE_WRAPS, Gear.WRIST_WRAPS, Gear.SQUAT_SUIT,
      Gear.BENCH_SHIRT, Gear.DEADLIFT_SUIT),
  STRONGMAN("strongman", "Belt, sleeves and wraps; straps and suits as the event says.", Gear.BELT, Gear.KNEE_SLEEVES,
      Gear.KNEE_WRAPS, Gear.WRIST_WRAPS, Gear.ELBOW_SLEEVES, Gear.STRAPS, Gear.DEADLIFT_SUIT),
  OPEN("not said", "The rules are not written down.", Gear.values());

  private final String word;
  private final String meaning;
  private final Set<Gear> allowed;

  AllowedGear(String word, String meaning, Gear... allowed) {
    this.word = word;
    this.meaning = meaning;
    this.allowed = Collections.unmodifiableSet(EnumSet.of(allowed[0], allowed));
  }

  /** The words of the screens: {@code classic with knee wraps}. */
  public String word() {
    return word;
  }

  /** What may be worn, in a sentence. */
  public String meaning() {
    return meaning;
  }

  /** The equipment that its rules allow. */
  public Set<Gear> allowed() {
    return allowed;
  }

  /** What of somebody's usual gear has to stay in the bag. */
  public Set<Gear> forbids(Set<Gear> usual) {
    Set<Gear> out = EnumSet.noneOf(Gear.class);
    out.addAll(usual);
    out.removeAll(allowed);
    out.removeIf(Gear::grip);
    return out;
  }
}
