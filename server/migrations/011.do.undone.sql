-- The last act on a lot can be undone, by entries of its own.

alter table lot_events drop constraint lot_events_kind_check;
alter table lot_events add constraint lot_events_kind_check check (kind in ('brought-in', 'hung', 'weighed', 'tested',
  'fan', 'finished', 'split-out', 'split-in', 'moved', 'checked', 'used', 'lost', 'given', 'planted', 'corrected',
  'noted', 'cleaned', 'loaded', 'rotated', 'jarred', 'shaken', 'undone'));
-- one act writes several entries, on several lots
create index lot_events_by_request on lot_events (household_id, request_id) where request_id is not null;
