package org.yarbel.web.club;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.problem.NotFound;

/** The places of a club and what their kit loads. */
@Service
public class Places {
  private static final int KEPT_KITS = 500;
  private static final int KEPT_DOCUMENTS = 200;

  private final Cache<PlaceKit.Loaded, Loadables> searched = Caffeine.newBuilder().maximumSize(KEPT_KITS).build();
  private final Cache<String, PlaceKit> read = Caffeine.newBuilder().maximumSize(KEPT_DOCUMENTS).build();
  private final PlaceRepository places;
  private final CoreJson json;
  private final ClubCache cache;
  private final ApplicationEventPublisher events;

  Places(PlaceRepository places, CoreJson json, ClubCache cache, ApplicationEventPublisher events) {
    this.places = places;
    this.events = events;
    this.cache = cache;
    this.json = json;
  }

  /** Stores a place with its kit. */
  @Transactional
  public Place add(String name, PlaceKit kit) {
    cache.written();
    return places.saveAndFlush(new Place(name, kit, json));
  }

  /** Writes down what a place is called and owns now; sessions not yet issued show their new loads. */
  @Transactional
  public void write(long placeId, String name, PlaceKit kit) {
    Place place = one(placeId);
    place.write(name, kit, json);
    places.saveAndFlush(place);
    cache.written();
    events.publishEvent(new KitChanged(placeId));
  }

  /** A place of the club. */
  @Transactional(readOnly = true)
  public Place one(long placeId) {
    return places.findById(placeId).orElseThrow(NotFound::new);
  }

  /** A place by what it is known by in records. */
  @Transactional(readOnly = true)
  public Place known(UUID ref) {
    return all().stream().filter(place -> place.ref().equals(ref)).findFirst().orElseThrow(NotFound::new);
  }

  /** All places of the club; the first one made, its main hall, comes first. */
  @Transactional(readOnly = true)
  public List<Place> all() {
    return cache.of(ClubCache.What.PLACES, places::all);
  }

  /** What a place owns. */
  public PlaceKit kit(Place place) {
    return read.get(place.document(), document -> json.read(document, PlaceKit.class));
  }

  /** What each of these places owns, in one query however many they are. */
  @Transactional(readOnly = true)
  public Map<Long, PlaceKit> kits(Collection<Long> placeIds) {
    Map<Long, PlaceKit> kits = new HashMap<>();
    all().stream().filter(place -> placeIds.contains(place.id())).forEach(place -> kits.put(place.id(), kit(place)));
    return kits;
  }

  /** All totals of what loads a lift; searched once and kept. */
  public Loadables loadables(PlaceKit.Loaded loaded) {
    return searched.get(loaded, PlaceKit.Loaded::search);
  }

  /** All totals of a bar and its plates; searched once and kept. */
  public Loadables loadables(Kit kit) {
    return loadables(new PlaceKit.Loaded.OnBar(kit));
  }

  /** The same of what may load nothing. */
  public Optional<Loadables> loadables(Optional<PlaceKit.Loaded> loaded) {
    return loaded.map(this::loadables);
  }
}
