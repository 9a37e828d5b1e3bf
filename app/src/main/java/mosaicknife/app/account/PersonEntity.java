package mosaicknife.app.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;

@Entity
@Table(name = "person")
class PersonEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "sign_in", updatable = false)
  private String signIn;

  private String name;

  @Enumerated(EnumType.STRING)
  private Role role;

  @Column(name = "venue_id")
  private Long venueId;

  @Column(name = "password_hash")
  private String passwordHash;

  private boolean active = true;

  @Column(name = "created_at", updatable = false)
  private Instant createdAt;

  @Version private int version;

  protected PersonEntity() {}

  PersonEntity(String signIn, String name, Role role, String passwordHash, Instant createdAt) {
    this.signIn = signIn;
    this.name = name;
    this.role = role;
    this.passwordHash = passwordHash;
    this.createdAt = createdAt;
  }

  Long id() {
    return id;
  }

  Role role() {
    return role;
  }

  boolean isActive() {
    return active;
  }

  /** Empty for every venue. */
  void worksAt(Optional<Long> venue) {
    venueId = venue.orElse(null);
  }

  void changeRole(Role newRole) {
    role = newRole;
    venueId = role.worksEverywhere() ? null : venueId;
  }

  void changePassword(String hash) {
    passwordHash = hash;
  }

  void switchOff() {
    active = false;
  }

  void switchOn() {
    active = true;
  }

  Person toPerson() {
    return new Person(id, signIn, name, role, Optional.ofNullable(venueId), active);
  }

  SignedIn toSignedIn() {
    return new SignedIn(toPerson(), passwordHash);
  }
}
