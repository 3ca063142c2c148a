-- A clinic with two thousand exercises of its own; :written is what stands in each.
\set ON_ERROR_STOP on
INSERT INTO own_exercise
SELECT
    gen_random_uuid(), true, false, s.clinic_id, 'k' || n, 1, 'Lift number ' || n, '{}', '{}',
    jsonb_build_object(
        'conditions', jsonb_build_array(CASE WHEN n % 3 = 0 THEN 'stroke' ELSE 'tremor' END),
        'performers', jsonb_build_array('client alone'),
        'materials', '[]'::jsonb,
        'posture', 'hands free',
        'loads', '[]'::jsonb,
        'strand', 'open'
    ),
    'lift number ' || n || ' of the ' || CASE WHEN n % 40 = 0 THEN 'ring' ELSE 'index' END
        || repeat(' finger raised slowly and let down again while the others stay', 12),
    60 + n % 400, s.id, now()
FROM generate_series(1, 2000) n
CROSS JOIN (SELECT id, clinic_id FROM staff WHERE email = 'maren@quayside.example') s;
UPDATE own_exercise SET written = :'written';
