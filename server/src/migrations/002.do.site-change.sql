CREATE TABLE IF NOT EXISTS site_change (
  site_id VARCHAR(32) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision BIGINT UNSIGNED NOT NULL,
  change_id VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  client_id VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kind ENUM('edit', 'undo', 'redo') NOT NULL,
  label VARCHAR(200) NOT NULL,
  patch LONGTEXT NOT NULL CHECK (JSON_VALID(patch)),
  inverse LONGTEXT NOT NULL CHECK (JSON_VALID(inverse)),
  created_at DATETIME(3) NOT NULL,
  PRIMARY KEY (site_id, revision),
  UNIQUE KEY change_once (site_id, change_id),
  CONSTRAINT change_of_site FOREIGN KEY (site_id) REFERENCES site (id)
) ENGINE = InnoDB;
