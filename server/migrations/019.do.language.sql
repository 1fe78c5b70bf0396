-- The language a household is spoken to in: British or American English; en-XA is the pseudo-language of the tests.
alter table households
  add column language text not null default 'en-GB' check (language in ('en-GB', 'en-US', 'en-XA'));
