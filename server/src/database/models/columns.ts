import { DataTypes } from 'sequelize'

/** UUID, made by whoever makes the row. */
export const id = () => ({ type: DataTypes.CHAR(36), primaryKey: true }) as const
/** UUID of another row. */
export const ref = () => ({ type: DataTypes.CHAR(36), allowNull: false }) as const
export const maybeRef = () => ({ type: DataTypes.CHAR(36), allowNull: true }) as const
/** Weights in grams, money, shares, minutes: nine decimals hold what any document says. */
export const quantity = () => ({ type: DataTypes.DECIMAL(20, 9), allowNull: false }) as const
export const maybeQuantity = () => ({ type: DataTypes.DECIMAL(20, 9), allowNull: true }) as const
/** Grams of whole milligrams. */
export const maybeMilligrams = () => ({ type: DataTypes.DECIMAL(12, 3), allowNull: true }) as const
export const words = (most = 120) => ({ type: DataTypes.STRING(most), allowNull: false }) as const
export const maybeWords = (most = 120) => ({ type: DataTypes.STRING(most), allowNull: true }) as const
export const longWords = () => ({ type: DataTypes.TEXT, allowNull: true }) as const
export const whole = () => ({ type: DataTypes.INTEGER, allowNull: false }) as const
export const maybeWhole = () => ({ type: DataTypes.INTEGER, allowNull: true }) as const
export const yesNo = () => ({ type: DataTypes.BOOLEAN, allowNull: false }) as const
export const instant = () => ({ type: DataTypes.DATE(3), allowNull: false }) as const
export const maybeInstant = () => ({ type: DataTypes.DATE(3), allowNull: true }) as const
/** Calendar day of the kitchen, `2026-11-24`. */
export const day = () => ({ type: DataTypes.DATEONLY, allowNull: false }) as const
export const maybeDay = () => ({ type: DataTypes.DATEONLY, allowNull: true }) as const
/** A value that is read and written whole; MariaDB keeps JSON as text, so it is parsed here. */
export const json = () => ({ type: DataTypes.JSON, allowNull: false }) as const
export const maybeJson = () => ({ type: DataTypes.JSON, allowNull: true }) as const
/** A place in a list, from 0. */
export const position = () => ({ type: DataTypes.SMALLINT, allowNull: false }) as const
/** A number as it was worked out, not rounded. */
export const exact = () => ({ type: DataTypes.DOUBLE, allowNull: false }) as const
export const maybeExact = () => ({ type: DataTypes.DOUBLE, allowNull: true }) as const
