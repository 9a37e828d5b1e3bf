package mosaicknife.app.use;

/** What is said of a part beside its purpose, as typed. */
class UseForm {

  private String becomes = "";
  private String value = "";
  private String until = "";
  private String place = "";
  private String keeper = "";

  public String getBecomes() {
    return becomes;
  }

  public void setBecomes(String becomes) {
    this.becomes = becomes;
  }

  public String getValue() {
    return value;
  }

  public void setValue(String value) {
    this.value = value;
  }

  public String getUntil() {
    return until;
  }

  public void setUntil(String until) {
    this.until = until;
  }

  public String getPlace() {
    return place;
  }

  public void setPlace(String place) {
    this.place = place;
  }

  public String getKeeper() {
    return keeper;
  }

  public void setKeeper(String keeper) {
    this.keeper = keeper;
  }
}
