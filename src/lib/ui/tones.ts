/** The tokens of app.css by name, for what draws: they turn with the light by themselves. */
type Tone =
	'ink' | 'faded' | 'rule' | 'pane' | 'field' | 'bottle' | 'leaf' | 'catkin' | 'catkin-deep' | 'madder' | 'frost' | 'frost-pale';

export const tone = (name: Tone): string => `var(--color-${name})`;
