-- What a device's own page told beside its touches: of its picture, light, sound and camera.
create table touch_look (
    proof_id uuid        not null references touch_proof on delete cascade,
    look     text        not null,
    -- As it was told.
    told     jsonb       not null,
    told_at  timestamptz not null,
    primary key (proof_id, look)
);
