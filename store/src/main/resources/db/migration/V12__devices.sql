-- Devices that signed in with the workshop's passphrase, and the passphrase as a slow hash.
create table workshop_secret (
    name text primary key,
    hash text not null
);
create table device (
    id uuid primary key,
    name text not null,
    -- SHA-256 of the key in the device's cookie: who reads the table cannot sign in with it
    key_digest text not null unique,
    signed_in_at timestamptz not null,
    seen_at timestamptz not null,
    revoked_at timestamptz
);
