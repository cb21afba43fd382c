-- Where a picture with transparency stands: the ends of its lowest part that can be seen, as shares of its sides; null for opaque pictures.
alter table picture add column foot_left double precision;
alter table picture add column foot_right double precision;
alter table picture add column foot_down double precision;
