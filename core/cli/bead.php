<?php

declare(strict_types=1);

use Symfony\Component\Console\Application;
use UpsweptBead\Cli\CheckCommand;
use UpsweptBead\Cli\CoolCommand;
use UpsweptBead\Cli\CutCommand;
use UpsweptBead\Cli\MergeCommand;
use UpsweptBead\Cli\PlanCommand;
use UpsweptBead\Cli\PurgeCommand;
use UpsweptBead\Cli\ReachCommand;
use UpsweptBead\Cli\RouteCommand;
use UpsweptBead\Cli\ScheduleCommand;
use UpsweptBead\Cli\SurveyCommand;
use UpsweptBead\Cli\TemplateCommand;

require dirname(__DIR__).'/vendor/autoload.php';

$application = new Application('bead', '1');
$application->addCommands([new CheckCommand, new CoolCommand, new CutCommand, new MergeCommand, new PlanCommand, new PurgeCommand, new ReachCommand, new RouteCommand, new ScheduleCommand, new SurveyCommand, new TemplateCommand]);
$application->run();
