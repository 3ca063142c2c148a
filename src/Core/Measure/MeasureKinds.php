<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Joint;

/**
 * All measures, in the order a clinician takes them: wrist, forearm, thumb, index to little, then the whole hand,
 * tone last.
 */
final readonly class MeasureKinds
{
    /** @param array<string, MeasureKind> $byCode */
    private function __construct(
        private array $byCode,
    ) {
    }

    /** @param array<string, string> $tasks labels of daily tasks by key; each has the client's own two answers */
    public static function standard(array $tasks = []): self
    {
        $kinds = [
            self::degrees(
                'wrist_extension',
                'Wrist up (extension)',
                -90,
                90,
                how: 'Forearm on the table, palm down, hand past the edge: bend the hand up. Stopped short of '
                    .'straight is minus.',
            ),
            self::degrees(
                'wrist_flexion',
                'Wrist down (flexion)',
                -100,
                30,
                how: 'Same position, hand down. Flexion is minus: 60 down is -60.',
                lowerIsBetter: true,
            ),
            self::degrees(
                'wrist_radial_deviation',
                'Wrist to the thumb side (radial)',
                -20,
                40,
                how: 'Hand flat or supported: tilt toward the thumb. Stopped short of straight is minus.',
            ),
            self::degrees(
                'wrist_ulnar_deviation',
                'Wrist to the little-finger side (ulnar)',
                -50,
                20,
                how: 'Hand flat or supported: tilt toward the little finger. Ulnar is minus: 20 over is -20.',
                lowerIsBetter: true,
            ),
            self::degrees(
                'forearm_supination',
                'Palm up (supination)',
                -90,
                100,
                how: 'Elbow bent at the side, thumb up is 0: turn the palm up.',
            ),
            self::degrees(
                'forearm_pronation',
                'Palm down (pronation)',
                -100,
                90,
                how: 'Elbow bent at the side, thumb up is 0: turn the palm down. Pronation is minus.',
                lowerIsBetter: true,
            ),
            self::degrees(
                'thumb_palmar_abduction',
                'Thumb away from the palm',
                0,
                80,
                how: 'Thumb base led away from the palm.',
            ),
            self::degrees(
                'thumb_radial_abduction',
                'Thumb out to the side (radial)',
                0,
                80,
                how: 'Thumb base led out to the side, in the plane of the palm.',
            ),
        ];
        foreach (Digit::cases() as $digit) {
            foreach ($digit->hinges() as $joint) {
                foreach ([true, false] as $flexion) {
                    $kinds[] = self::hinge($digit, $joint, $flexion);
                }
            }
        }
        $angles = ['-60', '-30', '0', '30'];
        $fingers = array_map(static fn (Digit $d): string => $d->value, Digit::fingers());
        $digits = array_map(static fn (Digit $d): string => $d->value, Digit::cases());
        array_push(
            $kinds,
            new MeasureKind(
                'opening',
                'Hand opening by eye',
                Unit::Percent,
                0,
                max: 100,
                howTaken: 'Open the hand: how far from fist to flat, in tens.',
                secondsToTake: 20,
                hasMode: true,
                arguments: $angles,
                step: 10,
            ),
            new MeasureKind(
                'opposition_0to10',
                'Thumb reach',
                Unit::Score,
                0,
                max: 10,
                howTaken: 'Touch the thumb to the ten places in turn: 1-2 side of the index, 3-6 fingertips, 7-10 '
                    .'down the little finger.',
                secondsToTake: 20,
            ),
            new MeasureKind(
                'wrist_ext_hold_s',
                'Wrist held up',
                Unit::Seconds,
                0,
                max: 10,
                howTaken: 'Palm down, help the hand up, take the help away, count until it sinks or the shoulder '
                    .'hitches. Best of two.',
                secondsToTake: 30,
                combine: Combine::Best,
            ),
            new MeasureKind(
                'wrist_lift_reps_n',
                'Clean wrist lifts',
                Unit::Count,
                0,
                max: 20,
                howTaken: 'Palm down, elbow fairly straight, lift and lower slowly; stop at the first hitch, lean or '
                    .'drop.',
                secondsToTake: 60,
            ),
            new MeasureKind(
                'wrist_edge_reps_n',
                'Clean lifts past the edge',
                Unit::Count,
                0,
                max: 20,
                howTaken: 'The same with the hand past the edge, whole arc.',
                secondsToTake: 60,
            ),
            new MeasureKind(
                'wrist_flex_hold_s',
                'Wrist held curled',
                Unit::Seconds,
                0,
                max: 10,
                howTaken: 'Palm up, help the hand up, take the help away, count until it sinks. Best of two.',
                secondsToTake: 30,
                combine: Combine::Best,
            ),
            new MeasureKind(
                'wrist_curl_reps_n',
                'Clean wrist curls',
                Unit::Count,
                0,
                max: 20,
                howTaken: 'Palm up, curl and lower slowly.',
                secondsToTake: 60,
            ),
            new MeasureKind(
                'tilt_reps_n',
                'Clean side tilts',
                Unit::Count,
                0,
                max: 15,
                howTaken: 'Thumb up, tilt toward the thumb and lower slowly.',
                secondsToTake: 45,
            ),
            new MeasureKind(
                'arms_out_hold_s',
                'Arms held out',
                Unit::Seconds,
                0,
                max: 30,
                howTaken: 'Both arms straight ahead at or below shoulder height; stop when one sinks.',
                secondsToTake: 35,
                sided: false,
            ),
            new MeasureKind(
                'individuation_idx',
                'Finger independence',
                Unit::Score,
                0,
                max: 1,
                howTaken: 'From the glove, or by eye: 1 less a third of the mean of the neighbours\' marks.',
                secondsToTake: 40,
                arguments: $digits,
                step: 0.0,
            ),
            new MeasureKind(
                'grip_hold_s',
                'Light spring held',
                Unit::Seconds,
                0,
                max: 10,
                howTaken: 'Light spring pressed between thumb and fingers, forearm fixed; stop at the first shake.',
                secondsToTake: 20,
                arguments: ['all', 'front', 'outer'],
            ),
            new MeasureKind(
                'pinch_hold_s',
                'Coin held still',
                Unit::Seconds,
                0,
                max: 10,
                howTaken: 'Coin between thumb tip and fingertip, forearm thumb-up; stop at the first shake or slip.',
                secondsToTake: 15,
                arguments: \array_slice($digits, 1),
            ),
            new MeasureKind(
                'pick_place_n',
                'Pegs placed, of ten',
                Unit::Count,
                0,
                max: 10,
                howTaken: 'Pegs or blocks of about 3 cm, thumb, index and middle only, placed in a bowl.',
                secondsToTake: 60,
            ),
            new MeasureKind(
                'turns_60s_n',
                'Block turns in 60 s',
                Unit::Count,
                0,
                max: 200,
                howTaken: 'Foam block turned in the fingers, forearm resting.',
                secondsToTake: 60,
            ),
            new MeasureKind(
                'coins_kept_n',
                'Coins kept in the palm',
                Unit::Count,
                0,
                max: 10,
                howTaken: 'Coins picked up one by one and still in the palm; best of two.',
                secondsToTake: 60,
                combine: Combine::Best,
            ),
            new MeasureKind(
                'coins_returned_n',
                'Coins put back',
                Unit::Count,
                0,
                max: 10,
                howTaken: 'Coins put back one by one without loss.',
                secondsToTake: 60,
            ),
            new MeasureKind(
                'coins_dropped_n',
                'Coins lost while putting back',
                Unit::Count,
                0,
                max: 10,
                howTaken: 'Counted during the same.',
                secondsToTake: 0,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'release_tries_n',
                'Ball let go, of five',
                Unit::Count,
                0,
                max: 5,
                howTaken: 'Soft ball of 6 to 7 cm let go within 5 s of the request.',
                secondsToTake: 45,
                arguments: ['-60', '-50', '-40', '-30', '-20', '-10', '0', '10', '20', '30'],
            ),
            new MeasureKind(
                'pip_mcp_straight',
                'PIP bends, knuckle held straight',
                Unit::Degrees,
                -45,
                max: 130,
                howTaken: 'Passive: hold the knuckle straight, bend the middle joint slowly.',
                secondsToTake: 15,
                arguments: $fingers,
            ),
            new MeasureKind(
                'pip_mcp_bent',
                'PIP bends, knuckle held bent',
                Unit::Degrees,
                -45,
                max: 130,
                howTaken: 'Passive: hold the knuckle bent, bend the middle joint slowly.',
                secondsToTake: 15,
                arguments: $fingers,
            ),
            new MeasureKind(
                'along',
                'Moves along',
                Unit::Score,
                0,
                max: 3,
                howTaken: 'One finger asked to move: how far each moves, 0 not at all to 3 as far as it can. The '
                    .'asked one must reach 3.',
                secondsToTake: 8,
                arguments: Independence::pairs(),
            ),
            new MeasureKind(
                'pegs_s',
                'Pegs in and out',
                Unit::Seconds,
                0,
                max: 600,
                howTaken: 'Nine pegs of the clinic\'s board in and out again, one at a time.',
                secondsToTake: 60,
                step: 0.0,
                lowerIsBetter: true,
                usualTrials: 2,
            ),
            new MeasureKind(
                'blocks_60s_n',
                'Blocks moved in 60 s',
                Unit::Count,
                0,
                max: 150,
                howTaken: 'Blocks of 2.5 cm from one box to the other, over the wall.',
                secondsToTake: 60,
            ),
            new MeasureKind(
                'stack_n',
                'Blocks stacked',
                Unit::Count,
                0,
                max: 30,
                howTaken: 'Highest stack that stands.',
                secondsToTake: 45,
                combine: Combine::Best,
            ),
            new MeasureKind(
                'taps_15s_n',
                'Finger taps in 15 s',
                Unit::Count,
                0,
                max: 150,
                howTaken: 'Index finger on the table, heel of the hand down.',
                secondsToTake: 20,
            ),
            new MeasureKind(
                'grip_kg',
                'Grip force',
                Unit::Kilograms,
                0,
                max: 90,
                howTaken: 'Gauge, elbow bent at the side, wrist a little up. Mean of three.',
                secondsToTake: 60,
                step: 0.0,
                usualTrials: 3,
            ),
            new MeasureKind(
                'pinch_kg',
                'Pinch force',
                Unit::Kilograms,
                0,
                max: 30,
                howTaken: 'Pinch gauge, elbow bent at the side. Mean of three.',
                secondsToTake: 60,
                arguments: ['tip', 'key', 'three-point'],
                step: 0.0,
                usualTrials: 3,
            ),
            new MeasureKind(
                'back_after_s',
                'Stretched part is back after',
                Unit::Seconds,
                0,
                max: 600,
                howTaken: 'Opened slowly and let go: seconds until it is back where it was.',
                secondsToTake: 60,
            ),
            new MeasureKind(
                'pain_now',
                'Pain',
                Unit::Score,
                0,
                max: 10,
                howTaken: '0 none to 10 the worst there is.',
                secondsToTake: 5,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'stiffness_now',
                'Stiffness',
                Unit::Score,
                0,
                max: 10,
                howTaken: '0 none to 10 the stiffest it has been.',
                secondsToTake: 5,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'fatigue_now',
                'Fatigue',
                Unit::Score,
                0,
                max: 10,
                howTaken: '0 none to 10 worn out.',
                secondsToTake: 5,
                sided: false,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'task_goes',
                'How well does it go?',
                Unit::Score,
                0,
                max: 10,
                howTaken: 'The client\'s own answer, 0 to 10.',
                secondsToTake: 10,
                sided: false,
                arguments: array_keys($tasks),
                argumentLabels: $tasks,
            ),
            new MeasureKind(
                'task_content',
                'How content are you with it?',
                Unit::Score,
                0,
                max: 10,
                howTaken: 'The client\'s own answer, 0 to 10.',
                secondsToTake: 10,
                sided: false,
                arguments: array_keys($tasks),
                argumentLabels: $tasks,
            ),
            new MeasureKind(
                'spiral_off_mm',
                'Spiral on the screen, off the guide',
                Unit::Millimetres,
                0,
                max: 200,
                howTaken: 'Drawn on a calibrated screen; root mean square over time.',
                secondsToTake: 60,
                step: 0.0,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'line_off_mm',
                'Line on the screen, off the guide',
                Unit::Millimetres,
                0,
                max: 200,
                howTaken: 'Drawn on a calibrated screen; root mean square over time.',
                secondsToTake: 40,
                step: 0.0,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'letters_shrink_pct',
                'Letters on the screen grow smaller',
                Unit::Percent,
                -300,
                max: 100,
                howTaken: 'A line of one letter: last third against the first.',
                secondsToTake: 60,
                step: 0.0,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'screen_taps_n',
                'Two-target taps in 15 s',
                Unit::Count,
                0,
                max: 300,
                howTaken: 'On the screen, every touch counts.',
                secondsToTake: 20,
            ),
            new MeasureKind(
                'screen_rhythm_pct',
                'Two-target taps, rhythm varies by',
                Unit::Percent,
                0,
                max: 500,
                howTaken: 'On the screen; standard deviation by mean of the times between taps.',
                secondsToTake: 20,
                step: 0.0,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'tremor_hz',
                'Shakes a second',
                Unit::Hertz,
                0,
                max: 20,
                howTaken: 'Wrist sensor; clear peak of the spectrum.',
                secondsToTake: 40,
                arguments: ['rest', 'posture', 'action'],
                step: 0.0,
            ),
            new MeasureKind(
                'tremor_half_mm',
                'Shakes to each side',
                Unit::Millimetres,
                0,
                max: 500,
                howTaken: 'Wrist sensor; half swing at the clear peak.',
                secondsToTake: 40,
                arguments: ['rest', 'posture', 'action'],
                step: 0.0,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'commands_n',
                'Steps followed',
                Unit::Count,
                0,
                max: 3,
                howTaken: 'Longest spoken or shown instruction followed without help.',
                secondsToTake: 30,
                sided: false,
            ),
            new MeasureKind(
                'slow_angle',
                'Slow angle (R2)',
                Unit::Degrees,
                0,
                max: 220,
                howTaken: 'Moved slowly to its full passive end, from the position of least stretch of that group.',
                secondsToTake: 20,
                arguments: ToneGroup::keys(),
            ),
            new MeasureKind(
                'catch_angle',
                'Quick catch angle (R1)',
                Unit::Degrees,
                0,
                max: 220,
                howTaken: 'One quick movement, after all other measures of the hand: where it catches, from the '
                    .'position of least stretch.',
                secondsToTake: 20,
                arguments: ToneGroup::keys(),
            ),
            new MeasureKind(
                'tone_finger',
                'Tone, finger flexors',
                Unit::Grade,
                0,
                max: 4,
                howTaken: 'One passive opening of the fingers at about one second. Last of all.',
                secondsToTake: 15,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'tone_thumb',
                'Tone, thumb flexors and adductors',
                Unit::Grade,
                0,
                max: 4,
                howTaken: 'Thumb led out of the palm once, at about one second. Last of all.',
                secondsToTake: 15,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'tone_pronator',
                'Tone, pronators',
                Unit::Grade,
                0,
                max: 4,
                howTaken: 'Palm turned up once, at about one second. Last of all.',
                secondsToTake: 15,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'tone_elbow',
                'Tone, elbow flexors',
                Unit::Grade,
                0,
                max: 4,
                howTaken: 'One passive elbow extension at about one second. Last of all.',
                secondsToTake: 15,
                lowerIsBetter: true,
            ),
            new MeasureKind(
                'tone_wrist',
                'Tone, wrist flexors',
                Unit::Grade,
                0,
                max: 4,
                howTaken: 'One passive wrist extension at about one second. Last of all.',
                secondsToTake: 15,
                lowerIsBetter: true,
            ),
        );
        $byCode = [];
        foreach ($kinds as $kind) {
            $byCode[$kind->code] = $kind;
        }

        return new self($byCode);
    }

    public function find(string $code): ?MeasureKind
    {
        return $this->byCode[$code] ?? null;
    }

    /** @return list<MeasureKind> in the order they are taken */
    public function all(): array
    {
        return array_values($this->byCode);
    }

    private static function degrees(
        string $code,
        string $label,
        float $min,
        float $max,
        string $how,
        bool $lowerIsBetter = false,
    ): MeasureKind {
        return new MeasureKind(
            $code,
            $label,
            Unit::Degrees,
            $min,
            max: $max,
            howTaken: $how,
            secondsToTake: 15,
            hasMode: true,
            lowerIsBetter: $lowerIsBetter,
        );
    }

    private static function hinge(Digit $digit, Joint $joint, bool $flexion): MeasureKind
    {
        return new MeasureKind(
            \sprintf('%s_%s_%s', $digit->value, $joint->value, $flexion ? 'flexion' : 'extension'),
            \sprintf(
                '%s %s %s',
                ucfirst($digit->value),
                $joint->label(),
                $flexion ? 'bent' : 'straight',
            ),
            Unit::Degrees,
            -45,
            max: 130,
            howTaken: $flexion
                ? 'Bend as far as it goes.'
                : 'Straighten as far as it goes: 0 is straight, plus is short of straight, minus is beyond.',
            secondsToTake: 10,
            hasMode: true,
            digit: $digit,
            joint: $joint,
            isFlexionEnd: $flexion,
            lowerIsBetter: !$flexion,
        );
    }
}
