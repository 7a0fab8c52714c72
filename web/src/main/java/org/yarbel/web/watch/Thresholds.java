package org.yarbel.web.watch;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.CallFigure;
import org.yarbel.core.watch.Figure;
import org.yarbel.core.watch.Figures;
import org.yarbel.core.watch.Threshold;
import org.yarbel.web.club.ClubCache;

/** The figures of the checks and the calls as the club has set them. */
@Service
public class Thresholds {
  private final ClubThresholdRepository stored;
  private final ClubCache cache;

  Thresholds(ClubThresholdRepository stored, ClubCache cache) {
    this.stored = stored;
    this.cache = cache;
  }

  @Transactional(readOnly = true)
  public Figures values() {
    return cache.of(ClubCache.What.THRESHOLDS, this::read);
  }

  /** All there are: those of the checks first. */
  static List<Figure> all() {
    return Stream.<Figure>concat(Stream.of(Threshold.values()), Stream.of(CallFigure.values())).toList();
  }

  private Figures read() {
    Map<String, Figure> byKey = all().stream().collect(Collectors.toMap(Figure::key, Function.identity()));
    Map<Figure, Double> set = new HashMap<>();
    stored.findAll().stream().filter(own -> byKey.containsKey(own.thresholdKey()))
        .forEach(own -> set.put(byKey.get(own.thresholdKey()), own.figure()));
    return new Figures(set);
  }

  /** Sets figures; those at their default are forgotten. */
  @Transactional
  public void set(Map<? extends Figure, Double> figures) {
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
