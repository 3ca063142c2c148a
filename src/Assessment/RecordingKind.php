<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

enum RecordingKind: string
{
    case Ink = 'ink';
    case Trace = 'trace';
}
