-- What a kind of supply is measured by goes into one column: kinds come, and each has its own.
alter table supply add column numbers jsonb not null default '{}';
update supply set numbers = jsonb_strip_nulls(jsonb_build_object(
    'widthMm', width_mm, 'thicknessMm', thickness_mm, 'needleMm', needle_mm, 'skinMinutes', skin_minutes,
    'cureHours', cure_hours, 'viscosityPaS', viscosity_pa_s, 'doseJPerCm2', dose_j_per_cm2, 'newtons', newtons));
alter table supply
    drop column width_mm,
    drop column thickness_mm,
    drop column needle_mm,
    drop column skin_minutes,
    drop column cure_hours,
    drop column viscosity_pa_s,
    drop column dose_j_per_cm2,
    drop column newtons;
