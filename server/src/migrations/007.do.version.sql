CREATE TABLE IF NOT EXISTS site_version (
  site_id VARCHAR(32) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision BIGINT UNSIGNED NOT NULL,
  document LONGTEXT NOT NULL,
  created_at DATETIME(3) NOT NULL,
  PRIMARY KEY (site_id, revision),
  CONSTRAINT version_of_site FOREIGN KEY (site_id) REFERENCES site (id)
) ENGINE = InnoDB;
ALTER TABLE site_change ADD INDEX change_time (created_at);
