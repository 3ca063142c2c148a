<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Content\Format\TraceFormat;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Source;
use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Measure\Taken;
use HandGarden\Web\Clock;

/** Keeps a motion trace with what it says; from a file or from a sensor, it is the same. */
final readonly class KeepTrace
{
    public const ACTIONS = [
        'rest' => 'At rest',
        'posture' => 'Arms held out',
        'action' => 'Cup to the mouth',
    ];

    public function __construct(
        private RecordingRepository $recordings,
        private KeepRecording $keepRecording,
        private RecordedFigures $figures,
        private Who $who,
        private Clock $clock,
    ) {
    }

    /**
     * @param string         $action key of ACTIONS
     * @param TrialPlan|null $plan   the steadying trial it belongs to; the set-up is the next of its order
     *
     * @throws InvalidData naming the place in the file
     */
    public function keep(
        Client $client,
        Node $node,
        Side $side,
        string $action,
        ?TrialPlan $plan,
    ): Recording {
        $node->only('format', 'version', 'side', 'action', 'set_up', 'rate_hz', 'samples');
        $node->get('version')->int(1, 1);
        if (TraceFormat::TRACE !== $node->get('format')->string()) {
            throw $node->get('format')->fail('expected '.TraceFormat::TRACE);
        }
        $found = TraceFormat::steadiness(Steadiness::from(TraceFormat::trace($node)));
        $setUp = null === $plan
            ? null
            : (
                $plan->order()[\count($this->recordings->series($client, $plan->name()))]
                    ?? throw $node->fail('this trial is complete')
            );
        $today = $this->clock->today($client->zone);
        $now = $this->clock->now();
        $staffId = $this->who->staff()->id;
        $raw = [
            'format' => TraceFormat::TRACE,
            'version' => 1,
            'side' => $side->value,
            'action' => $action,
            ...(null === $setUp ? [] : ['set_up' => $setUp->value]),
            'rate_hz' => $node->get('rate_hz')->raw(),
            'samples' => $node->get('samples')->raw(),
        ];
        $record = new Recording(
            $client->clinicId,
            $client->id,
            RecordingKind::Trace,
            $setUp->value ?? $action,
            side: $side,
            raw: json_encode($raw, \JSON_THROW_ON_ERROR),
            found: $found,
            series: $plan?->name() ?? '',
            onDay: $today,
            at: $now,
            byStaffId: $staffId,
        );
        $readings = null === $plan
            ? $this->figures->ofTrace(
                $action,
                $found,
                $side,
                $today,
                taken: new Taken($staffId, source: Source::MotionSensor),
            )
            : [];
        $this->keepRecording->keep($client, $record, $readings, 'recorded a trace');

        return $record;
    }
}
