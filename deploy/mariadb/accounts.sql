-- Once, on the primary. Put other passwords in. The application may read and write rows; only migrations change tables.
CREATE DATABASE IF NOT EXISTS embrel CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'embrel'@'10.%' IDENTIFIED BY 'PASSWORD-OF-THE-APPLICATION';
GRANT SELECT, INSERT, UPDATE, DELETE ON embrel.* TO 'embrel'@'10.%';
CREATE USER IF NOT EXISTS 'embrel_migrate'@'10.%' IDENTIFIED BY 'PASSWORD-OF-MIGRATIONS';
GRANT ALL ON embrel.* TO 'embrel_migrate'@'10.%';
-- For backups: reads all of it at one moment, says where the log stands, and restores into a database of its own to check.
CREATE USER IF NOT EXISTS 'embrel_backup'@'10.%' IDENTIFIED BY 'PASSWORD-OF-BACKUPS';
GRANT SELECT, LOCK TABLES, SHOW VIEW, TRIGGER, EVENT ON embrel.* TO 'embrel_backup'@'10.%';
GRANT RELOAD, BINLOG MONITOR, REPLICATION SLAVE ON *.* TO 'embrel_backup'@'10.%';
GRANT ALL ON `embrel\_check%`.* TO 'embrel_backup'@'10.%';
-- For replicas.
CREATE USER IF NOT EXISTS 'embrel_replica'@'10.%' IDENTIFIED BY 'PASSWORD-OF-REPLICAS';
GRANT REPLICATION SLAVE ON *.* TO 'embrel_replica'@'10.%';
