package org.yarbel.web.club;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;

/** The places of a club and what their kit loads. */
@Service
public class Places {
  private static final int KEPT_KITS = 500;

  private final PlaceRepository places;
  private final PlateRepository plates;
  private final Map<Kit, Loadables> searched = new ConcurrentHashMap<>();

  Places(PlaceRepository places, PlateRepository plates) {
    this.places = places;
    this.plates = plates;
  }

  /** Stores a place with its kit. */
  @Transactional
  public Place add(String name, Kit kit) {
    Place place = places.save(new Place(name, kit));
    kit.stock().plates().forEach(pairs -> plates.save(new Plate(place.id(), pairs)));
    return place;
  }

  /** All places of the club; the first one made, its main hall, comes first. */
  @Transactional(readOnly = true)
  public List<Place> all() {
    return places.all();
  }

  /** The kit of each of these places, in two queries however many they are. */
  @Transactional(readOnly = true)
  public Map<Long, Kit> kits(Collection<Long> placeIds) {
    Map<Long, List<Plate>> byPlace = new HashMap<>();
    plates.findByPlaceIdIn(placeIds)
        .forEach(plate -> byPlace.computeIfAbsent(plate.placeId(), id -> new ArrayList<>()).add(plate));
    Map<Long, Kit> kits = new HashMap<>();
    places.findAllById(placeIds)
        .forEach(place -> kits.put(place.id(), place.kit(byPlace.getOrDefault(place.id(), List.of()))));
    return kits;
  }

  /** All totals of a kit; searched once and kept. */
  public Loadables loadables(Kit kit) {
    if (searched.size() > KEPT_KITS) {
      searched.clear();
    }
    return searched.computeIfAbsent(kit, Loadables::of);
  }
}
