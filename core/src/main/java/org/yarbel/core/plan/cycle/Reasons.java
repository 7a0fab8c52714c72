package org.yarbel.core.plan.cycle;

/** Why a block grows, gives, comes or goes, in a sentence each. Our own, from common practice. */
final class Reasons {
  private Reasons() {}

  static String shorter(Purpose purpose) {
    return switch (purpose) {
      case VOLUME, PRACTICE -> "Volume is furthest from the platform, so it gives first.";
      case STRENGTH -> "After the volume the strength block gives: singles and taper need their weeks.";
      case PEAK -> "Singles give only when nothing else is left; one week of them is better than none.";
      case TAPER -> "A taper is cut last: even a few days of less work pay.";
      default -> "It has the time that is left.";
    };
  }

  static String longer(Purpose purpose) {
    return switch (purpose) {
      case STRENGTH -> "More weeks go to strength first: it carries over to the platform.";
      case VOLUME, PRACTICE -> "Time far from the platform is best used for volume.";
      case PEAK -> "A peak can be held for " + Purpose.PEAK.most() + " weeks, not longer.";
      default -> "It has the time that is left.";
    };
  }

  static String out(Purpose purpose) {
    return switch (purpose) {
      case VOLUME, PRACTICE -> "There are too few weeks for it, and volume gives first.";
      case STRENGTH -> "There are too few weeks for it beside singles and taper.";
      case PEAK, TAPER -> "There is nothing to peak for.";
      default -> "There is no room for it.";
    };
  }

  static String in(Purpose purpose) {
    return switch (purpose) {
      case VOLUME -> "There is room for a whole block: volume, before strength goes on.";
      case STRENGTH -> "There is room for a whole block of strength before the peak.";
      case PEAK -> "A peak does not last: singles are practised anew before the new date.";
      case TAPER -> "The taper is counted back from the new date.";
      case HOLD -> "Three weeks of strength, repeated until there is one; the peak waits.";
      case TEST -> "A mock contest shows what the work came to.";
      case OFF -> "There is nothing to plan from: fill these weeks by hand.";
      case PRACTICE -> "There is time to learn.";
    };
  }
}
