package org.yarbel.web.workbench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.kit.Band;
import org.yarbel.core.kit.Chain;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Place;
import org.yarbel.web.club.Places;
import org.yarbel.web.form.Typed;

/** What a sum is done with: the kit of one of the club's places for a lift, or that of an ordinary gym. */
@Component
class KitChoice {
  private final Places places;
  private final Lifts lifts;

  KitChoice(Places places, Lifts lifts) {
    this.places = places;
    this.lifts = lifts;
  }

  List<Place> places() {
    return places.all();
  }

  List<Lift> lifts() {
    return lifts.offered();
  }

  Lift lift(Typed typed) {
    Catalogue catalogue = lifts.catalogue();
    return catalogue.ofKey(typed.text("lift")).orElseGet(() -> catalogue.all().get(0));
  }

  /** All totals; null when a field is wrong, or the place has nothing for the lift. */
  @Nullable Loadables loadables(Typed typed) {
    MassUnit unit = typed.unit("unit");
    Mass bar = typed.massFromZero("bar", unit);
    Optional<PlaceKit> own = kit(typed);
    if (own.isEmpty()) {
      Kit standard = Kit.standard(unit);
      if (bar != null && bar.compareTo(Mass.of("200", MassUnit.KG)) > 0) {
        typed.wrong("bar", "The bar must be at most 200 kg but was " + bar.text() + ".");
      }
      return typed.fine() ? places.loadables(new Kit(bar == null ? standard.bar() : bar, standard.collars(), standard.stock())) : null;
    }
    Optional<PlaceKit.Loaded> loaded = own.get().loaded(lift(typed), lifts.catalogue(), unit);
    if (loaded.isEmpty()) {
      typed.wrong("place", "That place has nothing to load a " + lift(typed).name().toLowerCase(Locale.ROOT) + " with.");
      return null;
    }
    if (bar != null && loaded.get() instanceof PlaceKit.Loaded.OnBar onBar) {
      try {
        return Loadables.of(new Kit(bar, onBar.kit().collars(), onBar.kit().stock(), onBar.kit().fractional()));
      } catch (Refused refused) {
        typed.wrong("bar", refused);
        return null;
      }
    }
    return places.loadables(loaded.get());
  }

  private Optional<PlaceKit> kit(Typed typed) {
    return places.all().stream().filter(place -> Long.toString(place.id()).equals(typed.text("place"))).findFirst().map(places::kit);
  }

  /** A band or chain of the club, with the place it is in. */
  public record Thing(String key, String label) {}

  List<Thing> bands() {
    List<Thing> things = new ArrayList<>();
    for (Place place : places.all()) {
      List<Band> bands = places.kit(place).bands();
      for (int i = 0; i < bands.size(); i++) {
        things.add(new Thing(place.id() + "-" + i, bands.get(i).name() + ", " + place.name()));
      }
    }
    return things;
  }

  List<Thing> chains() {
    List<Thing> things = new ArrayList<>();
    for (Place place : places.all()) {
      List<Chain> chains = places.kit(place).chains();
      for (int i = 0; i < chains.size(); i++) {
        things.add(new Thing(place.id() + "-" + i, chains.get(i).name() + ", " + place.name()));
      }
    }
    return things;
  }

  Optional<Band> band(String key) {
    return thing(key, PlaceKit::bands);
  }

  /** Why a band of a place makes no pair there; empty when it does. */
  Optional<String> withoutPartner(String key) {
    return band(key).flatMap(band -> places.all().stream().filter(place -> key.startsWith(place.id() + "-")).findFirst().map(places::kit)
        .flatMap(kit -> kit.withoutPartner(band)));
  }

  Optional<Chain> chain(String key) {
    return thing(key, PlaceKit::chains);
  }

  private <T> Optional<T> thing(String key, java.util.function.Function<PlaceKit, List<T>> list) {
    String[] both = key.split("-", 2);
    if (both.length != 2 || !both[1].matches("\\d{1,3}")) {
      return Optional.empty();
    }
    return places.all().stream().filter(place -> Long.toString(place.id()).equals(both[0])).findFirst()
        .map(places::kit).map(list).filter(all -> Integer.parseInt(both[1]) < all.size())
        .map(all -> all.get(Integer.parseInt(both[1])));
  }
}
