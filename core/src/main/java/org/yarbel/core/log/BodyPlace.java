package org.yarbel.core.log;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Muscle;
import org.yarbel.core.lift.Pattern;

/**
 * Where it can hurt, with the muscles that lie there and the movements that load its joints. Which lift loads which place is our own
 * choice, as coarse as the muscles are counted: it decides only whether a set is marked as lifted with pain, never what somebody has.
 */
public enum BodyPlace {
  NECK("neck", muscles(Muscle.UPPER_BACK), patterns(Pattern.VERTICAL_PRESS)),
  SHOULDER("shoulder", muscles(Muscle.SHOULDERS, Muscle.CHEST), patterns(Pattern.HORIZONTAL_PRESS, Pattern.VERTICAL_PRESS,
      Pattern.HORIZONTAL_PULL, Pattern.VERTICAL_PULL, Pattern.THROW)),
  CHEST("chest", muscles(Muscle.CHEST), patterns(Pattern.HORIZONTAL_PRESS)),
  ELBOW("elbow", muscles(Muscle.TRICEPS, Muscle.BICEPS), patterns(Pattern.HORIZONTAL_PRESS, Pattern.VERTICAL_PRESS,
      Pattern.HORIZONTAL_PULL, Pattern.VERTICAL_PULL, Pattern.ARMS)),
  WRIST_OR_HAND("wrist or hand", muscles(Muscle.GRIP), patterns(Pattern.HORIZONTAL_PRESS, Pattern.VERTICAL_PRESS, Pattern.ARMS,
      Pattern.HORIZONTAL_PULL, Pattern.VERTICAL_PULL)),
  UPPER_BACK("upper back", muscles(Muscle.UPPER_BACK, Muscle.LATS), patterns(Pattern.HORIZONTAL_PULL, Pattern.VERTICAL_PULL)),
  LOWER_BACK("lower back", muscles(Muscle.LOWER_BACK), patterns(Pattern.SQUAT, Pattern.HINGE, Pattern.CARRY, Pattern.LOADING,
      Pattern.DRAG)),
  BELLY_OR_SIDE("belly or side", muscles(Muscle.TRUNK), patterns(Pattern.TRUNK)),
  HIP("hip", muscles(Muscle.GLUTES), patterns(Pattern.SQUAT, Pattern.HINGE, Pattern.SINGLE_LEG, Pattern.CARRY, Pattern.LOADING,
      Pattern.DRAG, Pattern.JUMP)),
  GROIN("groin", muscles(), patterns(Pattern.SQUAT, Pattern.HINGE, Pattern.SINGLE_LEG, Pattern.CARRY, Pattern.LOADING,
      Pattern.DRAG, Pattern.JUMP)),
  FRONT_OF_THIGH("front of the thigh", muscles(Muscle.QUADS), patterns(Pattern.SINGLE_LEG, Pattern.JUMP)),
  BACK_OF_THIGH("back of the thigh", muscles(Muscle.HAMSTRINGS), patterns(Pattern.HINGE, Pattern.SINGLE_LEG, Pattern.JUMP)),
  KNEE("knee", muscles(Muscle.QUADS), patterns(Pattern.SQUAT, Pattern.SINGLE_LEG, Pattern.CARRY, Pattern.LOADING, Pattern.DRAG,
      Pattern.JUMP)),
  CALF("calf", muscles(Muscle.CALVES), patterns(Pattern.CARRY, Pattern.DRAG, Pattern.JUMP)),
  ANKLE_OR_FOOT("ankle or foot", muscles(Muscle.CALVES), patterns(Pattern.SQUAT, Pattern.SINGLE_LEG, Pattern.CARRY,
      Pattern.LOADING, Pattern.DRAG, Pattern.JUMP)),
  ELSEWHERE("elsewhere", muscles(), patterns());

  private final String word;
  private final Set<Muscle> muscles;
  private final Set<Pattern> patterns;

  BodyPlace(String word, Set<Muscle> muscles, Set<Pattern> patterns) {
    this.word = word;
    this.muscles = muscles;
    this.patterns = patterns;
  }

  private static Set<Muscle> muscles(Muscle... muscles) {
    Set<Muscle> set = EnumSet.noneOf(Muscle.class);
    Collections.addAll(set, muscles);
    return Collections.unmodifiableSet(set);
  }

  private static Set<Pattern> patterns(Pattern... patterns) {
    Set<Pattern> set = EnumSet.noneOf(Pattern.class);
    Collections.addAll(set, patterns);
    return Collections.unmodifiableSet(set);
  }

  /** The words a person reads: {@code lower back}. */
  public String word() {
    return word;
  }

  /** Whether it has a left and a right. */
  public boolean paired() {
    return switch (this) {
      case NECK, CHEST, UPPER_BACK, LOWER_BACK, BELLY_OR_SIDE, ELSEWHERE -> false;
      default -> true;
    };
  }

  /** Whether a lift loads it: one of its muscles works, or one of its joints moves under load. */
  public boolean loadedBy(Lift lift) {
    return patterns.contains(lift.pattern()) || !Collections.disjoint(muscles, lift.muscles());
  }
}
