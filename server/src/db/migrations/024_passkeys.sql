-- Passkeys: what a device signs with in place of a password. Kept is the public half; the other never leaves the device.
CREATE TABLE passkeys (
  id uuid PRIMARY KEY,
  firm_id uuid NOT NULL REFERENCES firms,
  person_id uuid NOT NULL REFERENCES people,
  credential text NOT NULL UNIQUE CHECK (length(credential) <= 1400),
  public_key bytea NOT NULL,
  counter bigint NOT NULL,
  transports text[] NOT NULL DEFAULT '{}',
  device text NOT NULL CHECK (length(device) <= 100),
  made_at timestamptz NOT NULL DEFAULT now(),
  used_at timestamptz
);
CREATE INDEX passkeys_person ON passkeys (person_id);
ALTER TABLE passkeys ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_firm ON passkeys USING (firm_id = current_firm());
GRANT SELECT, INSERT, DELETE, UPDATE (counter, used_at) ON passkeys TO keen_gauge_app;

-- Whoever signs in with one belongs to no firm yet: this look-up crosses firms, by what only the device that made it knows.
CREATE FUNCTION passkey_for_sign_in(wanted text)
RETURNS TABLE (firm_id uuid, person_id uuid, generation integer, public_key bytea, counter bigint, transports text[])
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public AS
$$ SELECT k.firm_id, k.person_id, p.generation, k.public_key, k.counter, k.transports
     FROM passkeys k JOIN people p ON p.id = k.person_id WHERE k.credential = wanted AND p.ended_at IS NULL $$;
REVOKE ALL ON FUNCTION passkey_for_sign_in(text) FROM PUBLIC;
GRANT EXECUTE ON FUNCTION passkey_for_sign_in(text) TO keen_gauge_app;
