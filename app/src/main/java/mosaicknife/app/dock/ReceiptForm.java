package mosaicknife.app.dock;

import java.util.UUID;

/** A delivery as typed: every field a text, to be understood by {@link ReceiptReader}. */
public class ReceiptForm {

  private String id = UUID.randomUUID().toString();
  private String species = "";
  private String state = "";
  private String fish = "1";
  private String invoiced = "";
  private String own = "";
  private String price = "";
  private String supplier = "";
  private String venue = "";
  private String origin = "";
  private String landedOn = "";
  private String note = "";

  public String getId() {
    return id;
  }

  public void setId(String id) {
    this.id = id;
  }

  public String getSpecies() {
    return species;
  }

  public void setSpecies(String species) {
    this.species = species;
  }

  public String getState() {
    return state;
  }

  public void setState(String state) {
    this.state = state;
  }

  public String getFish() {
    return fish;
  }

  public void setFish(String fish) {
    this.fish = fish;
  }

  public String getInvoiced() {
    return invoiced;
  }

  public void setInvoiced(String invoiced) {
    this.invoiced = invoiced;
  }

  public String getOwn() {
    return own;
  }

  public void setOwn(String own) {
    this.own = own;
  }

  public String getPrice() {
    return price;
  }

  public void setPrice(String price) {
    this.price = price;
  }

  public String getSupplier() {
    return supplier;
  }

  public void setSupplier(String supplier) {
    this.supplier = supplier;
  }

  public String getVenue() {
    return venue;
  }

  public void setVenue(String venue) {
    this.venue = venue;
  }

  public String getOrigin() {
    return origin;
  }

  public void setOrigin(String origin) {
    this.origin = origin;
  }

  public String getLandedOn() {
    return landedOn;
  }

  public void setLandedOn(String landedOn) {
    this.landedOn = landedOn;
  }

  public String getNote() {
    return note;
  }

  public void setNote(String note) {
    this.note = note;
  }
}
