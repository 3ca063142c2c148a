<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Measure\Mode;

/** How a number that conditions ask for is found among the readings. */
final readonly class NumberFact
{
    private function __construct(
        public string $code,
        public string $readingCode,
        public ?Mode $mode,
        public float $sign,
    ) {
    }

    /** @return array<string, self> by the code that conditions use */
    public static function all(): array
    {
        $facts = [
            new self('wrist_ext_active_deg', 'wrist_extension', Mode::Active, 1.0),
            new self('wrist_ext_passive_deg', 'wrist_extension', Mode::Passive, 1.0),
            new self('wrist_flex_passive_deg', 'wrist_flexion', Mode::Passive, -1.0),
            new self('rad_dev_active_deg', 'wrist_radial_deviation', Mode::Active, 1.0),
            new self('uln_dev_active_deg', 'wrist_ulnar_deviation', Mode::Active, -1.0),
            new self('pron_active_deg', 'forearm_pronation', Mode::Active, -1.0),
            new self('pron_passive_deg', 'forearm_pronation', Mode::Passive, -1.0),
            new self('sup_active_deg', 'forearm_supination', Mode::Active, 1.0),
            new self('sup_passive_deg', 'forearm_supination', Mode::Passive, 1.0),
            new self('thumb_abd_passive_deg', 'thumb_palmar_abduction', Mode::Passive, 1.0),
        ];
        foreach (
            [
                'opposition_0to10',
                'wrist_ext_hold_s',
                'wrist_lift_reps_n',
                'wrist_edge_reps_n',
                'arms_out_hold_s',
                'commands_n',
                'wrist_flex_hold_s',
                'wrist_curl_reps_n',
                'tilt_reps_n',
                'individuation_idx',
                'grip_hold_s',
                'pinch_hold_s',
                'pick_place_n',
                'turns_60s_n',
                'coins_kept_n',
                'coins_returned_n',
                'coins_dropped_n',
                'release_tries_n',
                'tone_finger',
                'tone_wrist',
                'tone_elbow',
            ] as $code
        ) {
            $facts[] = new self($code, $code, null, 1.0);
        }

        return array_column(
            array_map(static fn (self $fact): array => [$fact->code, $fact], $facts),
            1,
            0,
        );
    }
}
