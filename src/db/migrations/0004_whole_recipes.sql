-- What a recipe leaves to be worked out stands in it as null: none is without it.

UPDATE recipe SET document = '{"evaporation": null, "archetype": null}'::jsonb || document
  WHERE NOT (document ? 'evaporation' AND document ? 'archetype');

UPDATE recipe_revision SET document = '{"evaporation": null, "archetype": null}'::jsonb || document
  WHERE NOT (document ? 'evaporation' AND document ? 'archetype');

UPDATE version SET snapshot = jsonb_set(snapshot, '{recipe}', '{"evaporation": null, "archetype": null}'::jsonb || (snapshot->'recipe'))
  WHERE jsonb_typeof(snapshot->'recipe') = 'object' AND NOT (snapshot->'recipe' ? 'evaporation' AND snapshot->'recipe' ? 'archetype');
