package mosaicknife.core.anatomy;

import java.util.List;
import mosaicknife.core.check.Check;

/**
 * How thick the flesh of one side is off the backbone, along the body.
 *
 * @param stations the thickness in body lengths at equal distances from the tip of the head to the
 *     end of the tail; at least two
 */
public record Thickness(List<Double> stations) {

  /** Refuses fewer than two stations and thicknesses outside 0–0.5 body lengths. */
  public Thickness {
    stations = List.copyOf(Check.notEmpty(stations, "stations"));
    Check.that(stations.size() > 1, "Expected two stations or more, found ", stations.size());
    stations.forEach(t -> Check.inRange(t, 0, 0.5, "thickness"));
  }

  /**
   * Returns the thickness at a place, straight between the stations.
   *
   * @param x the place in body lengths from the tip of the head; outside 0–1 the nearer end counts
   * @return the thickness in body lengths
   */
  public double at(double x) {
    double place = Math.max(0, Math.min(1, x)) * (stations.size() - 1);
    int before = (int) Math.min(stations.size() - 2, Math.floor(place));
    double way = place - before;
    return stations.get(before) * (1 - way) + stations.get(before + 1) * way;
  }
}
