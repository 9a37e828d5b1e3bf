package mosaicknife.app.account;

/** What the first owner types, as typed. */
class WelcomeForm {

  private String house = "";
  private String venue = "";
  private String currency = "EUR";
  private String name = "";
  private String signIn = "";
  private String password = "";

  public String getHouse() {
    return house;
  }

  public void setHouse(String house) {
    this.house = house;
  }

  public String getVenue() {
    return venue;
  }

  public void setVenue(String venue) {
    this.venue = venue;
  }

  public String getCurrency() {
    return currency;
  }

  public void setCurrency(String currency) {
    this.currency = currency;
  }

  public String getName() {
    return name;
  }

  public void setName(String name) {
    this.name = name;
  }

  public String getSignIn() {
    return signIn;
  }

  public void setSignIn(String signIn) {
    this.signIn = signIn;
  }

  public String getPassword() {
    return password;
  }

  public void setPassword(String password) {
    this.password = password;
  }
}
