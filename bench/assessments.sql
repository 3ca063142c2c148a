-- One client, assessed on :from to :to days before: each time with the readings of four days ago.
\set ON_ERROR_STOP on
WITH who AS (
    SELECT id, clinic_id, therapist_id FROM client WHERE given_name = 'Odalys'
), made AS (
    INSERT INTO visit (id, clinic_id, client_id, on_day, by_staff_id, at, note, set_up_checked)
    SELECT gen_random_uuid(), clinic_id, id, current_date - 5 - n, therapist_id, now() - (5 + n) * interval '1 day', '', false
    FROM who, generate_series(:from, :to) n
    RETURNING id, client_id, on_day, at
)
INSERT INTO reading (
    id, clinic_id, client_id, visit_id, code, side, mode, argument, number, yes, word, on_day, at, by_staff_id, reason,
    source, by_eye, trials, position, medication
)
SELECT
    gen_random_uuid(), r.clinic_id, r.client_id, made.id, r.code, r.side, r.mode, r.argument, r.number, r.yes, r.word,
    made.on_day, made.at, r.by_staff_id, '', r.source, r.by_eye, r.trials, r.position, r.medication
FROM made
JOIN reading r ON r.client_id = made.client_id AND r.on_day = current_date - 4 AND r.number IS NOT NULL;
-- a table in use is not a table just filled
VACUUM ANALYZE reading;
