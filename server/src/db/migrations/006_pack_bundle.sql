-- A pack as it is sent: every file of it in one archive with a manifest of their sums, made when it was signed.

ALTER TABLE packs ADD bundle bytea;
ALTER TABLE packs ALTER bundle SET STORAGE EXTERNAL;
