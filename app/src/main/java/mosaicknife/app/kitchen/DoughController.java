package mosaicknife.app.kitchen;

import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Sent;
import mosaicknife.core.pot.Thickener;
import mosaicknife.core.quantity.Mass;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Packs of dough: put away, and taken. */
@Controller
class DoughController {

  private static final int MOST_PACKS = 1000;

  private final Doughs doughs;

  DoughController(Doughs doughs) {
    this.doughs = doughs;
  }

  @PostMapping("/kitchen/doughs")
  @Form(value = "/kitchen#doughs", keeps = "typedDough")
  Done put(Sent sent) {
    Mass pack = sent.someMass("weight");
    Doughs.Put put =
        new Doughs.Put(
            sent.id("venue"),
            sent.choice(Thickener.values(), "thickener"),
            sent.count("packs", 1, MOST_PACKS),
            pack,
            sent.has("frozen"),
            sent.text("place"));
    doughs.put(sent.own(), put);
    return Done.said("kitchen.said.packs-away", put.packs());
  }

  @PostMapping("/kitchen/doughs/{dough}/take")
  @Form("/kitchen#doughs")
  Done take(@PathVariable long dough, Sent sent) {
    int packs = sent.count("packs", 1, MOST_PACKS);
    doughs.take(sent.own(), dough, packs);
    return Done.said("kitchen.said.packs-taken", packs);
  }
}
