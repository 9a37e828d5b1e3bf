package mosaicknife.core.safety;

/**
 * A figure of the house's own table that decides about safety. The starting values are starting
 * estimates and no legal advice: the local code decides, and the owner puts its figures in.
 */
public enum Limit {
  /** Above it the time of a histamine fish counts, and it is refused at the dock. */
  HISTAMINE_TEMPERATURE(Unit.TENTHS_OF_A_DEGREE, 40, 0, 100),
  /** How long a histamine fish may have been above that in all. */
  HISTAMINE_TIME(Unit.MINUTES, 120, 10, 600),
  /** Above it no fish is raw, and the lot is held until somebody decides. */
  WARM(Unit.TENTHS_OF_A_DEGREE, 70, 0, 150),
  /** Up to so many demerits a fish passes as fresh enough for raw. */
  SIGNS_RAW(Unit.PERCENT, 16, 0, 100),
  /** Up to so many it is cooked. */
  SIGNS_COOK(Unit.PERCENT, 50, 0, 100),
  /** Up to so many it is for the pot; beyond it is refused. */
  SIGNS_POT(Unit.PERCENT, 68, 1, 100),
  /** How long scrapings and paste keep: much surface, warm from the hand. */
  SCRAPINGS(Unit.HOURS, 24, 1, 72),
  /** How long perfect white fish keep on melting ice. */
  DAYS_WHITE(Unit.DAYS, 12, 1, 30),
  /** How long perfect flatfish keep. */
  DAYS_FLAT(Unit.DAYS, 14, 1, 30),
  /** How long perfect oily fish keep. */
  DAYS_OILY(Unit.DAYS, 7, 1, 30),
  /** How long perfect rays and sharks keep. */
  DAYS_CARTILAGE(Unit.DAYS, 8, 1, 30),
  /** How long perfect salmon, trout and char keep. */
  DAYS_SALMON(Unit.DAYS, 13, 1, 30),
  /** How long perfect tunas and billfish keep. */
  DAYS_TUNA(Unit.DAYS, 9, 1, 30),
  /** How long something keeps in the freezer. */
  FROZEN_KEEPS(Unit.DAYS, 60, 1, 365),
  /** How long something keeps once it was thawed. */
  THAWED_KEEPS(Unit.DAYS, 1, 0, 5),
  /** How long something keeps that was made of raw fish and not heated. */
  RAW_KEEPS(Unit.DAYS, 2, 0, 5),
  /** How long something keeps once it was cooked. */
  COOKED_KEEPS(Unit.DAYS, 3, 0, 10),
  /** How long fish keeps that was salted or soured and not heated. */
  CURED_KEEPS(Unit.DAYS, 4, 0, 14),
  /** How long cold-smoked fish keeps. */
  COLD_SMOKED_KEEPS(Unit.DAYS, 4, 0, 14),
  /** How long hot-smoked fish keeps. */
  HOT_SMOKED_KEEPS(Unit.DAYS, 4, 0, 14),
  /** How long dried fish, roe and skin keep. */
  DRIED_KEEPS(Unit.DAYS, 30, 1, 365),
  /** How long a ferment under salt keeps. */
  FERMENTED_KEEPS(Unit.DAYS, 180, 1, 730),
  /** How long a chilled pack without air keeps at the most. */
  VACUUM_KEEPS(Unit.DAYS, 4, 0, 10),
  /** Hot food that cools: below this its time counts. */
  COOL_FROM(Unit.TENTHS_OF_A_DEGREE, 600, 500, 700),
  /** The first stage of cooling ends below this. */
  COOL_FIRST(Unit.TENTHS_OF_A_DEGREE, 210, 150, 300),
  /** How long the first stage may take. */
  COOL_FIRST_TIME(Unit.MINUTES, 120, 30, 240),
  /** Cooling is done below this. */
  COOL_COLD(Unit.TENTHS_OF_A_DEGREE, 50, 0, 100),
  /** How long both stages may take together. */
  COOL_TIME(Unit.MINUTES, 360, 241, 720),
  /** The core temperature the code asks for. */
  CORE_CODE(Unit.TENTHS_OF_A_DEGREE, 630, 500, 800),
  /** The core temperature the house cooks to. */
  CORE_HOUSE(Unit.TENTHS_OF_A_DEGREE, 520, 380, 800);

  private final Unit unit;
  private final int starting;
  private final int least;
  private final int most;

  Limit(Unit unit, int starting, int least, int most) {
    this.unit = unit;
    this.starting = starting;
    this.least = least;
    this.most = most;
  }

  /** What a limit is counted in. */
  public enum Unit {
    /** Tenths of a degree Celsius. */
    TENTHS_OF_A_DEGREE,
    /** Minutes. */
    MINUTES,
    /** Hours. */
    HOURS,
    /** Days. */
    DAYS,
    /** Percent of all demerits there could be. */
    PERCENT
  }

  /**
   * Returns what it is counted in.
   *
   * @return the unit
   */
  public Unit unit() {
    return unit;
  }

  /**
   * Returns the starting value.
   *
   * @return a starting estimate
   */
  public int starting() {
    return starting;
  }

  /**
   * Returns the least it can be set to.
   *
   * @return the value
   */
  public int least() {
    return least;
  }

  /**
   * Returns the most it can be set to.
   *
   * @return the value
   */
  public int most() {
    return most;
  }
}
