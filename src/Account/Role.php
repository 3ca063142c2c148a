<?php

declare(strict_types=1);

namespace HandGarden\Account;

enum Role: string
{
    case Therapist = 'therapist';
    case Lead = 'lead';
    case Assistant = 'assistant';

    public function securityRole(): string
    {
        return 'ROLE_'.strtoupper($this->value);
    }
}
