package org.yarbel.web.watch;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.watch.Threshold;
import org.yarbel.web.club.ClubCache;

/** The figures of the checks as the club has set them. */
@Service
public class Thresholds {
  private final ClubThresholdRepository stored;
  private final ClubCache cache;

  Thresholds(ClubThresholdRepository stored, ClubCache cache) {
    this.stored = stored;
    this.cache = cache;
  }

  @Transactional(readOnly = true)
  public Threshold.Values values() {
    return cache.of(ClubCache.What.THRESHOLDS, this::read);
  }

  private Threshold.Values read() {
    Map<Threshold, Double> set = new EnumMap<>(Threshold.class);
    stored.findAll().forEach(own -> Threshold.ofKey(own.thresholdKey()).ifPresent(threshold -> set.put(threshold, own.figure())));
    return new Threshold.Values(set);
  }

  /** Sets figures; those at their default are forgotten. */
  @Transactional
  public void set(Map<Threshold, Double> figures) {
    cache.written();
    Map<String, ClubThreshold> there = new HashMap<>();
    stored.findAll().forEach(own -> there.put(own.thresholdKey(), own));
    figures.forEach((threshold, figure) -> {
      ClubThreshold own = there.get(threshold.key());
      if (figure == threshold.usual()) {
        if (own != null) {
          stored.delete(own);
        }
      } else if (own == null) {
        stored.save(new ClubThreshold(threshold.key(), figure));
      } else {
        own.set(figure);
        stored.save(own);
      }
    });
  }
}
