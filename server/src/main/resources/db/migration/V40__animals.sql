-- Animals that ask for care of their own.
alter table tank
    add column animals text not null default '[]',
    add constraint tank_animals_known
        check (
            jsonb_typeof(animals::jsonb) = 'array'
            and animals::jsonb <@ '["TURTLES", "AMPHIBIANS", "FRY", "SHRIMP", "SEAHORSES"]'
        );

-- What was asked about a medication for the sake of animals, and stood by.
alter table medication add column confirmed text;
