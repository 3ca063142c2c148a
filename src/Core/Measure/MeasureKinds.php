<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Joint;

/** All measures, in the order a clinician takes them: wrist, forearm, thumb, index to little, then the whole hand, tone last. */
final readonly class MeasureKinds
{
    /** @param array<string, MeasureKind> $byCode */
    private function __construct(private array $byCode)
    {
    }

    public static function standard(): self
    {
        $kinds = [
            self::degrees('wrist_extension', 'Wrist up (extension)', -90, 90, 'Forearm on the table, palm down, hand past the edge: bend the hand up. Stopped short of straight is minus.'),
            self::degrees('wrist_flexion', 'Wrist down (flexion)', -100, 30, 'Same position, hand down. Flexion is minus: 60 down is -60.'),
            self::degrees('forearm_supination', 'Palm up (supination)', -90, 100, 'Elbow bent at the side, thumb up is 0: turn the palm up.'),
            self::degrees('forearm_pronation', 'Palm down (pronation)', -100, 90, 'Elbow bent at the side, thumb up is 0: turn the palm down. Pronation is minus.'),
            self::degrees('thumb_palmar_abduction', 'Thumb away from the palm', 0, 80, 'Thumb base led away from the palm.'),
        ];
        foreach (Digit::cases() as $digit) {
            foreach ($digit->hinges() as $joint) {
                foreach ([true, false] as $flexion) {
                    $kinds[] = self::hinge($digit, $joint, $flexion);
                }
            }
        }
        $angles = ['-60', '-30', '0', '30'];
        array_push(
            $kinds,
            new MeasureKind('opening', 'Hand opening by eye', Unit::Percent, 0, 100, 'Open the hand: how far from fist to flat, in tens.', 20, hasMode: true, arguments: $angles, step: 10),
            new MeasureKind('opposition_0to10', 'Thumb reach', Unit::Score, 0, 10, 'Touch the thumb to the ten places in turn: 1-2 side of the index, 3-6 fingertips, 7-10 down the little finger.', 20),
            new MeasureKind('wrist_ext_hold_s', 'Wrist held up', Unit::Seconds, 0, 10, 'Palm down, help the hand up, take the help away, count until it sinks or the shoulder hitches.', 30),
            new MeasureKind('wrist_lift_reps_n', 'Clean wrist lifts', Unit::Count, 0, 20, 'Palm down, elbow fairly straight, lift and lower slowly; stop at the first hitch, lean or drop.', 60),
            new MeasureKind('wrist_edge_reps_n', 'Clean lifts past the edge', Unit::Count, 0, 20, 'The same with the hand past the edge, whole arc.', 60),
            new MeasureKind('arms_out_hold_s', 'Arms held out', Unit::Seconds, 0, 30, 'Both arms straight ahead at or below shoulder height; stop when one sinks.', 35, sided: false),
            new MeasureKind('commands_n', 'Steps followed', Unit::Count, 0, 3, 'Longest spoken or shown instruction followed without help.', 30, sided: false),
            new MeasureKind('tone_finger', 'Tone, finger flexors', Unit::Grade, 0, 4, 'One passive opening of the fingers at about one second. Last of all.', 15),
            new MeasureKind('tone_wrist', 'Tone, wrist flexors', Unit::Grade, 0, 4, 'One passive wrist extension at about one second. Last of all.', 15),
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

    private static function degrees(string $code, string $label, float $min, float $max, string $how): MeasureKind
    {
        return new MeasureKind($code, $label, Unit::Degrees, $min, $max, $how, 15, hasMode: true);
    }

    private static function hinge(Digit $digit, Joint $joint, bool $flexion): MeasureKind
    {
        return new MeasureKind(
            \sprintf('%s_%s_%s', $digit->value, $joint->value, $flexion ? 'flexion' : 'extension'),
            \sprintf('%s %s %s', ucfirst($digit->value), $joint->label(), $flexion ? 'bent' : 'straight'),
            Unit::Degrees,
            -45,
            130,
            $flexion ? 'Bend as far as it goes.' : 'Straighten as far as it goes: 0 is straight, plus is short of straight, minus is beyond.',
            10,
            hasMode: true,
            digit: $digit,
            joint: $joint,
            isFlexionEnd: $flexion,
        );
    }
}
