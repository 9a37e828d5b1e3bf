package mosaicknife.app.shared;

/** What a free field asks for, for the sentence that refuses it. */
public enum FieldName {
  /** The catch area. */
  CATCH_AREA,
  /** The code. */
  CODE,
  /** The contact. */
  CONTACT,
  /** The dish. */
  DISH,
  /** The evidence. */
  EVIDENCE,
  /** The name of the file. */
  FILE_NAME,
  /** The fish. */
  FISH,
  /** The grade. */
  GRADE,
  /** The name of the house. */
  HOUSE,
  /** The instrument. */
  INSTRUMENT,
  /** The name. */
  NAME,
  /** The name of the dish. */
  NAME_OF_DISH,
  /** The note. */
  NOTE,
  /** The phone number. */
  PHONE,
  /** The place. */
  PLACE,
  /** The reason. */
  REASON,
  /** The scientific name. */
  SCIENTIFIC_NAME,
  /** The source. */
  SOURCE,
  /** The supplier. */
  SUPPLIER,
  /** The name of the tray. */
  TRAY,
  /** The use. */
  USE,
  /** The name of the venue. */
  VENUE,
  /** The name of the way. */
  WAY
}
