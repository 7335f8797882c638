-- A site reads and types in its own units; what is stored stays metric.
alter table site
    drop constraint site_temperature_unit_known,
    drop constraint site_concentration_unit_known,
    drop constraint site_hardness_unit_known,
    add column volume_unit text not null default 'LITRE',
    add column mass_unit text not null default 'GRAM',
    add column length_unit text not null default 'METRE',
    add column dose_unit text not null default 'MILLILITRE',
    add column salinity_unit text not null default 'G_PER_L',
    add column date_order text not null default 'DAY_FIRST',
    add column week_start text not null default 'MONDAY',
    add column decimal_sign text not null default 'POINT';

update site set hardness_unit = 'PPM_CACO3' where hardness_unit = 'PPM';

alter table site
    add constraint site_temperature_unit_known check (temperature_unit in ('CELSIUS', 'FAHRENHEIT')),
    add constraint site_concentration_unit_known check (concentration_unit in ('MG_PER_L', 'PPM')),
    add constraint site_hardness_unit_known check (hardness_unit in ('DH', 'PPM_CACO3', 'MEQ_PER_L')),
    add constraint site_volume_unit_known check (volume_unit in ('LITRE', 'US_GALLON', 'UK_GALLON')),
    add constraint site_mass_unit_known check (mass_unit in ('GRAM', 'OUNCE')),
    add constraint site_length_unit_known check (length_unit in ('METRE', 'FOOT')),
    add constraint site_dose_unit_known check (dose_unit in ('MILLILITRE', 'US_TEASPOON', 'UK_FLUID_OUNCE')),
    add constraint site_salinity_unit_known check (salinity_unit in ('G_PER_L', 'SPECIFIC_GRAVITY')),
    add constraint site_date_order_known check (date_order in ('DAY_FIRST', 'MONTH_FIRST', 'YEAR_FIRST')),
    add constraint site_week_start_known check (week_start in ('MONDAY', 'SUNDAY', 'SATURDAY')),
    add constraint site_decimal_sign_known check (decimal_sign in ('POINT', 'COMMA'));
