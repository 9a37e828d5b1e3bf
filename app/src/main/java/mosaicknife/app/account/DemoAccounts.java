package mosaicknife.app.account;

/** The people of the demo. They exist only in demo mode, on an address of this machine. */
public final class DemoAccounts {

  /** The password of everybody in the demo. No secret: the sign-in page of the demo shows it. */
  public static final String PASSWORD = "port-sallow-demo";

  private DemoAccounts() {}
}
