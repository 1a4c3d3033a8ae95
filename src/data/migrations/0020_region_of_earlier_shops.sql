-- Units and spelling are guessed from the browser where a shop is new. Shops that were there before measure as they did: metric, in
-- international English, with the smallest measure they had.
insert into setting (name, value)
  select 'shop', '{}'::jsonb where exists (select from vehicle) or exists (select from product)
  on conflict (name) do nothing;

update setting set value = value || jsonb_build_object('region',
    '{"english": "en", "units": {"volume": "metric", "temperature": "celsius", "distance": "kilometre", "speed": "kilometrePerHour",
      "pressure": "bar", "torque": "newtonMetre", "length": "millimetre", "hardness": "ppm"}}'::jsonb
    || jsonb_build_object('jug', jsonb_build_object('system', 'metric', 'stepMillilitres',
      case when jsonb_typeof(value #> '{equipment,smallestMeasureMillilitres}') = 'number'
        then value #> '{equipment,smallestMeasureMillilitres}' else '5'::jsonb end)))
  where name = 'shop' and jsonb_typeof(value) = 'object' and not value ? 'region';
